import { useEffect, useRef, useState } from 'react';

/** Before so many seconds have passed, the pace says nothing. */
const TOO_SOON = 2;

/** Seconds until all is done, by the pace since this was first looked at; unknown at first, and while nothing moves. */
export function useTimeLeft(done: number, of: number): number | undefined {
  const first = useRef<{ at: number; done: number }>(undefined);
  const [left, setLeft] = useState<number>();
  useEffect(() => {
    const now = performance.now();
    if (first.current === undefined || done < first.current.done) {
      first.current = { at: now, done };
    }
    const passed = (now - first.current.at) / 1_000;
    const moved = done - first.current.done;
    setLeft(passed < TOO_SOON || moved === 0 ? undefined : ((of - done) * passed) / moved);
  }, [done, of]);
  return left;
}
