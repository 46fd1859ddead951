import { Link } from 'react-router';
import type { Schemas } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { dayAndTime } from '../../../lib/dates';
import { Button } from '../../../ui/Button';
import { Glyph } from '../../../ui/glyphs';
import { useSetAsideActs } from '../queries';

/** A message that no rule could look at: the cause, and what to do. */
export function SetAside({ message, cause, mayTryAgain }: Schemas['SetAsideView']) {
  const { tryAgain, close } = useSetAsideActs(message.id);
  const failed = tryAgain.error ?? close.error;
  const busy = tryAgain.isPending || close.isPending;
  return (
    <li className="flex items-start gap-2 border-t border-line py-2">
      <span className="mt-0.5">
        <Glyph of="HELD" />
      </span>
      <span className="min-w-0 grow">
        <Link className="block truncate font-semibold hover:underline" to={`/incoming/${message.id}`}>
          <bdi>{message.subject || '(no subject)'}</bdi>
        </Link>
        <span className="block text-sm">
          <bdi>{message.sender}</bdi> — <b className="text-clay">no rule checked it</b> ·{' '}
          {dayAndTime(message.received)}
        </span>
        <span className="block text-sm break-words text-ink2">Cause: {cause.words}.</span>
        <span className="block text-sm">It is in the inbox. Read it in your mail program.</span>
        {failed && <span className="block text-sm text-clay">{problemText(failed)}</span>}
      </span>
      <span className="shrink-0">
        {mayTryAgain && (
          <Button small look="quiet" disabled={busy} onClick={() => tryAgain.mutate()}>
            Try again
          </Button>
        )}
        <Button small look="quiet" disabled={busy} onClick={() => close.mutate()}>
          Close
        </Button>
      </span>
    </li>
  );
}
