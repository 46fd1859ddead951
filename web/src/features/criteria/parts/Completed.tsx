import { useEffect, useState } from 'react';
import { counted } from '../../../lib/numbers';
import { useCompletions, type CompletionOf } from '../queries';

const PAUSE = 200;

/** What the mail of the past offers for what is being typed, for an input to list. */
export function Completed({ id, of, typed }: { id: string; of: CompletionOf; typed: string }) {
  const found = useCompletions(of, useSettled(typed));
  return (
    <datalist id={id}>
      {typed.trim().length > 1 &&
        found.data?.completions.map((one) => (
          <option key={one.value} value={one.value}>
            {counted(one.messages, 'message')}
          </option>
        ))}
    </datalist>
  );
}

/** The text once typing has paused: the evidence goes first. */
function useSettled(text: string): string {
  const [settled, setSettled] = useState(text);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(text), PAUSE);
    return () => clearTimeout(timer);
  }, [text]);
  return settled;
}
