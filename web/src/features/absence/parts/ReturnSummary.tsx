import { useState } from 'react';
import type { Schemas } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { dayAndTime } from '../../../lib/dates';
import { counted } from '../../../lib/numbers';
import { Button } from '../../../ui/Button';
import { Loading, Trouble } from '../../../ui/States';
import { MessageSheet } from '../../incoming';
import { useReturnSummary } from '../queries';

type Line = Schemas['ReturnLine'];

const SORTS: Record<Line['sort'], string> = {
  CAME_IN: 'came in',
  ANSWERED: 'answered that you are away',
  HANDED_OVER: 'handed over',
  DEALT_WITH: 'of them dealt with',
  WAITING: 'waiting for a person',
};

const SENDERS = 8;

/** What happened while somebody was away: each line opens its messages. */
export function ReturnSummary({ id, onClose }: { id: string; onClose: () => void }) {
  const summary = useReturnSummary(id);
  const [open, setOpen] = useState<Line['sort']>();
  const [message, setMessage] = useState<number>();
  if (summary.isPending) {
    return <Loading what="Summing up" />;
  }
  if (summary.isError) {
    return <Trouble text={problemText(summary.error)} onRetry={() => void summary.refetch()} />;
  }
  const { absence, lines, senders } = summary.data;
  return (
    <section aria-label="While you were away" className="mt-3 rounded border border-line bg-sheet px-4 py-3">
      <div className="flex items-baseline gap-3">
        <h2 className="grow font-bold">While you were away {absence.told.words}</h2>
        <Button small look="quiet" onClick={onClose}>
          Close
        </Button>
      </div>
      <div className="mt-2 grid gap-x-8 gap-y-4 columns:grid-cols-[minmax(0,1fr)_280px]">
        <ul>
          {lines.map((line) => (
            <li key={line.sort} className="border-t border-line py-1.5 first:border-0">
              <button
                type="button"
                className="flex w-full gap-2 text-left enabled:hover:underline"
                aria-expanded={open === line.sort}
                disabled={line.count === 0}
                onClick={() => setOpen(open === line.sort ? undefined : line.sort)}
              >
                <b className="w-32 shrink-0">{counted(line.count, 'message')}</b>
                {SORTS[line.sort]}
              </button>
              {open === line.sort && (
                <ul className="mt-1 grid gap-0.5 pl-32 text-sm max-[700px]:pl-4">
                  {line.messages.map((one) => (
                    <li key={one.id}>
                      <button
                        type="button"
                        className="flex w-full gap-2 text-left hover:underline"
                        onClick={() => setMessage(one.id)}
                      >
                        <span className="shrink-0 text-ink2">{dayAndTime(one.received)}</span>
                        <bdi className="truncate">{one.subject || '(no subject)'}</bdi>
                        <bdi className="truncate text-ink2">{one.sender}</bdi>
                      </button>
                    </li>
                  ))}
                  {line.count > line.messages.length && (
                    <li className="text-ink2">and {line.count - line.messages.length} older</li>
                  )}
                </ul>
              )}
            </li>
          ))}
        </ul>
        <div>
          <h3 className="text-sm font-semibold text-ink2">Who wrote most</h3>
          <ul className="mt-1 grid gap-0.5">
            {senders.slice(0, SENDERS).map((one) => (
              <li key={one.address} className="flex gap-2">
                <bdi className="grow truncate" title={one.address}>
                  {one.shown}
                </bdi>
                {one.messages}
              </li>
            ))}
          </ul>
          {senders.length > SENDERS && (
            <p className="text-sm text-ink2">and {senders.length - SENDERS} others</p>
          )}
        </div>
      </div>
      <MessageSheet id={message} onClose={() => setMessage(undefined)} />
    </section>
  );
}
