import { Link } from 'react-router';
import type { Schemas } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { dayAndTime } from '../../../lib/dates';
import { Button } from '../../../ui/Button';
import { useSetAsideActs } from '../queries';
import { NeedRow } from './NeedRow';

/** A message that no rule could look at: the cause, and what to do. */
export function SetAside({ message, cause, mayTryAgain }: Schemas['SetAsideView']) {
  const { tryAgain, close } = useSetAsideActs(message.id);
  const failed = tryAgain.error ?? close.error;
  const busy = tryAgain.isPending || close.isPending;
  return (
    <NeedRow
      of="HELD"
      title={
        <Link className="hover:underline" to={`/incoming/${message.id}`}>
          <bdi>{message.subject || '(no subject)'}</bdi>
        </Link>
      }
      acts={
        <>
          {mayTryAgain && (
            <Button small disabled={busy} onClick={() => tryAgain.mutate()}>
              Try again
            </Button>
          )}
          <Button small look="quiet" disabled={busy} onClick={() => close.mutate()}>
            Close
          </Button>
        </>
      }
    >
      <bdi>{message.sender}</bdi> — <b className="text-clay">no rule checked it</b> ·{' '}
      {dayAndTime(message.received)}
      <span className="block break-words">Cause: {cause.words}.</span>
      <span className="block">It is in the inbox. Read it in your mail program.</span>
      {failed && <span className="block text-clay">{problemText(failed)}</span>}
    </NeedRow>
  );
}
