import { dayAndTime } from '../../../lib/dates';
import { Button } from '../../../ui/Button';
import { useEndRehearsal, useOpenRehearsals } from '../queries';

interface Props {
  /** The one that is shown already. */
  shown: string | undefined;
  onOpen: (id: string | undefined) => void;
}

/** Rehearsals that were begun and not closed, here or elsewhere. */
export function OpenOnes({ shown, onOpen }: Props) {
  const others = (useOpenRehearsals().data ?? []).filter((one) => one.id !== shown);
  const end = useEndRehearsal();
  if (others.length === 0) {
    return null;
  }
  return (
    <section aria-label="Open rehearsals" className="mb-3">
      <h2 className="mb-1 font-bold">Rehearsed before</h2>
      <ul>
        {others.map((one) => (
          <li
            key={one.id}
            className="flex flex-wrap items-center gap-x-2.5 gap-y-1 border-t border-line py-1.5 text-sm"
          >
            <b className="min-w-0 break-words">{one.words}</b>
            <span className="text-ink2">
              last {one.days} days · {one.begunBy}, {dayAndTime(one.begunAt)}
              {one.state === 'RUNNING' && ' · under way'}
            </span>
            <Button small onClick={() => onOpen(one.id)}>
              Open
            </Button>
            <Button small look="quiet" disabled={end.isPending} onClick={() => end.mutate(one.id)}>
              {one.state === 'RUNNING' ? 'Cancel' : 'Close'}
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
