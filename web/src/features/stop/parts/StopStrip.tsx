import { problemText } from '../../../api/problem';
import { dayAndTime } from '../../../lib/dates';
import { Button } from '../../../ui/Button';
import { useMailbox } from '../../mailbox';
import { useStop, useStopping } from '../queries';

/** Says everywhere that nothing leaves, until somebody lets it. */
export function StopStrip() {
  const stop = useStop();
  const mailbox = useMailbox();
  const { release } = useStopping();
  if (!stop.data?.since) {
    return null;
  }
  return (
    <div
      role="alert"
      className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-line bg-clay-soft px-4 py-1.5"
    >
      <span className="grow">
        <b>No mail leaves {mailbox.data?.address}.</b> {stop.data.who} stopped it on{' '}
        {dayAndTime(stop.data.since)}. Replies, forwards and redirects wait; filing and marking go on.
        {release.error && <span className="block text-clay">{problemText(release.error)}</span>}
      </span>
      <Button small disabled={release.isPending} onClick={() => release.mutate()}>
        Let mail leave again
      </Button>
    </div>
  );
}
