import type { UseQueryResult } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Problem, problemText } from '../api/problem';
import { Loading, Trouble } from './States';

interface Props<Shown> {
  /** What the link leads to, in a word. */
  what: string;
  shown: UseQueryResult<Shown>;
  children: (shown: Shown) => ReactNode;
}

/** A page by itself for whoever holds its link, without signing in. */
export function LinkPage<Shown>({ what, shown, children }: Props<Shown>) {
  return (
    <main className="grid min-h-full grid-cols-1 place-items-center p-4">
      <div className="w-[520px] max-w-full rounded-lg border border-line bg-sheet p-6">
        {shown.isPending && <Loading what={`Loading the ${what}`} />}
        {shown.isError && <NotThere what={what} failed={shown.error} onRetry={() => void shown.refetch()} />}
        {shown.data && children(shown.data)}
      </div>
    </main>
  );
}

function NotThere({ what, failed, onRetry }: { what: string; failed: Error; onRetry: () => void }) {
  if (failed instanceof Problem && failed.status === 404) {
    return (
      <>
        <h1 className="text-lg font-bold">This {what} is not known</h1>
        <p className="mt-2 text-ink2">
          The link may be cut off: copy all of it from the message. Nothing was changed.
        </p>
      </>
    );
  }
  return <Trouble text={problemText(failed)} onRetry={onRetry} />;
}
