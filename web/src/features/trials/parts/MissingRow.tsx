import { dayAndTime } from '../../../lib/dates';
import { Button } from '../../../ui/Button';
import type { Case } from '../model';

interface Props {
  one: Case;
  /** Whether a message for it is still being looked for. */
  looking: boolean;
  busy: boolean;
  onKeep: () => void;
}

/** A case that no trial shows, with a message that would. */
export function MissingRow({ one, looking, busy, onKeep }: Props) {
  const { proposal } = one;
  return (
    <div className="grid grid-cols-[74px_minmax(0,1fr)] items-center gap-x-2.5 gap-y-1 border-b border-line bg-ground px-3 py-1.5 text-[13.5px] last:border-b-0 columns:grid-cols-[74px_minmax(0,1fr)_minmax(0,250px)]">
      <span className="text-ink2">missing</span>
      <span className="truncate text-ink2" title={one.what.words}>
        {one.what.words}
      </span>
      <span className="min-w-0 max-columns:col-start-2">
        {proposal ? (
          <Button
            small
            className="max-w-full"
            disabled={busy}
            onClick={onKeep}
            title={`${proposal.from}, ${dayAndTime(proposal.at)}: ${proposal.expected.map((each) => each.words).join(', ')}`}
          >
            <span className="truncate">
              {proposal.madeUp ? 'Keep a made-up one' : `Keep: ${proposal.subject || '(no subject)'}`}
            </span>
          </Button>
        ) : (
          <span className="block truncate text-sm text-ink2">
            {looking ? 'looking for a message …' : 'no past message shows it: write one'}
          </span>
        )}
      </span>
    </div>
  );
}
