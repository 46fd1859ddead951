import type { ReactNode } from 'react';
import { Button } from './Button';

/** Nothing here yet, and what to do first. */
export function Empty({ children }: { children: ReactNode }) {
  return <div className="mx-auto max-w-md px-4 py-12 text-center text-ink2">{children}</div>;
}

export function Loading({ what }: { what: string }) {
  return (
    <div role="status" aria-busy className="px-4 py-6 text-ink2">
      {what} …
    </div>
  );
}

/** Something went wrong: the cause, and a way on. */
export function Trouble({ text, onRetry }: { text: string; onRetry?: () => void }) {
  return (
    <div
      role="alert"
      className="flex items-center gap-3 rounded border-l-[3px] border-clay bg-clay-soft px-3 py-2"
    >
      <span className="grow">{text}</span>
      {onRetry && (
        <Button small look="danger" onClick={onRetry}>
          Try again
        </Button>
      )}
    </div>
  );
}
