import { useParams } from 'react-router';
import type { Schemas } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { Button } from '../../../ui/Button';
import { LinkPage } from '../../../ui/LinkPage';
import { Trouble } from '../../../ui/States';
import { useAnswerStandIn, useStandIn } from '../queries';

/** Where a substitute agrees or declines, without signing in. Looking at it changes nothing. */
export function StandInPage() {
  const { token = '' } = useParams();
  return (
    <LinkPage what="note" shown={useStandIn(token)}>
      {(shown) => <Asked token={token} of={shown} />}
    </LinkPage>
  );
}

function Asked({ token, of }: { token: string; of: Schemas['StandInView'] }) {
  const answer = useAnswerStandIn(token);
  return (
    <>
      <h1 className="text-lg font-bold">Will you stand in for {of.mailbox}?</h1>
      <p className="mt-2">
        {of.who} is away {of.days.words}, and asks you, {of.substitute}, to stand in.
      </p>
      <h2 className="mt-3 text-sm font-semibold text-ink2">What comes to you in that time</h2>
      {of.mail.length === 0 ? (
        <p>No mail. The answer that senders get names you as the one to turn to.</p>
      ) : (
        <ul className="list-disc pl-5">
          {of.mail.map((mail, i) => (
            <li key={i}>{mail.words}</li>
          ))}
        </ul>
      )}
      <p role="status" className={`mt-3 font-semibold ${of.standing === 'AGREED' ? 'text-moss' : ''}`}>
        {stateInWords(of)}
      </p>
      {answer.error && (
        <div className="mt-2">
          <Trouble text={problemText(answer.error)} />
        </div>
      )}
      {of.open && (
        <div className="mt-4 flex flex-wrap gap-2">
          {of.standing !== 'AGREED' && (
            <Button look="go" disabled={answer.isPending} onClick={() => answer.mutate(true)}>
              I stand in
            </Button>
          )}
          {of.standing !== 'DECLINED' && (
            <Button disabled={answer.isPending} onClick={() => answer.mutate(false)}>
              I decline
            </Button>
          )}
        </div>
      )}
      <p className="mt-4 text-sm text-ink2">
        {of.open ? 'You can change your answer here until it is over.' : 'It is over.'}
      </p>
    </>
  );
}

function stateInWords(of: Schemas['StandInView']): string {
  switch (of.standing) {
    case 'AGREED':
      return 'You agreed. The answer names you.';
    case 'DECLINED':
      return 'You declined. Nothing comes to you, and the answer names nobody.';
    default:
      return 'Until you agree nothing comes to you, and the answer names nobody.';
  }
}
