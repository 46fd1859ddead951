import { useParams } from 'react-router';
import { problemText } from '../../../api/problem';
import type { Schemas } from '../../../api/client';
import { dayAndTime } from '../../../lib/dates';
import { Button } from '../../../ui/Button';
import { LinkPage } from '../../../ui/LinkPage';
import { Trouble } from '../../../ui/States';
import { useHandedOn, useSay } from '../queries';

/** Where whoever got a forward says what becomes of it, without signing in. Looking at it changes nothing. */
export function HandedOnPage() {
  const { token = '' } = useParams();
  return (
    <LinkPage what="message" shown={useHandedOn(token)}>
      {(shown) => <Message token={token} of={shown} />}
    </LinkPage>
  );
}

function Message({ token, of }: { token: string; of: Schemas['HandedOnView'] }) {
  const say = useSay(token);
  return (
    <>
      <h1 className="text-lg font-bold">A message from {of.from}</h1>
      <p className="mt-2">
        On {dayAndTime(of.at)}, {of.fromAddress} handed on a message to{' '}
        <b className="break-words">{of.recipient}</b>.
      </p>
      {of.followUp !== 'NOT_ASKED' && (
        <p role="status" className="mt-3 font-semibold">
          {stateInWords(of)}
        </p>
      )}
      {say.error && (
        <div className="mt-2">
          <Trouble text={problemText(say.error)} />
        </div>
      )}
      {of.followUp === 'OPEN' && (
        <div className="mt-4 flex flex-wrap gap-2">
          <Button look="go" disabled={say.isPending} onClick={() => say.mutate('DEALT_WITH')}>
            It is dealt with
          </Button>
          <Button disabled={say.isPending} onClick={() => say.mutate('NOT_FOR_ME')}>
            It is not for me
          </Button>
        </div>
      )}
      {of.mayStop && (
        <div className="mt-5 border-t border-line pt-4">
          {of.stopAsked ? (
            <p role="status" className="font-semibold">
              We have asked {of.recipient} by a message. A link in it stops the mail.
            </p>
          ) : (
            <>
              <Button disabled={say.isPending} onClick={() => say.mutate('STOP')}>
                Stop such mail …
              </Button>
              <p className="mt-2 text-sm text-ink2">
                As messages are passed on, {of.recipient} is asked first, by a message with a link.
              </p>
            </>
          )}
        </div>
      )}
    </>
  );
}

function stateInWords(of: Schemas['HandedOnView']): string {
  switch (of.followUp) {
    case 'OPEN':
      return `${of.from} would like to know what becomes of it.`;
    case 'DEALT_WITH':
      return 'It is dealt with. Thank you.';
    case 'BACK':
      return `${of.from} has it back and sees to it.`;
    case 'NOT_ASKED':
      return '';
  }
}
