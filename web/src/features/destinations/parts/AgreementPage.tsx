import { useParams } from 'react-router';
import { problemText } from '../../../api/problem';
import type { Schemas } from '../../../api/client';
import { dayAndTime } from '../../../lib/dates';
import { Button } from '../../../ui/Button';
import { LinkPage } from '../../../ui/LinkPage';
import { Trouble } from '../../../ui/States';
import { useAgreement, useAnswer } from '../queries';

/** Where somebody outside answers a request, without signing in. Looking at it changes nothing. */
export function AgreementPage() {
  const { token = '' } = useParams();
  return (
    <LinkPage what="request" shown={useAgreement(token)}>
      {(shown) => <Request token={token} of={shown} />}
    </LinkPage>
  );
}

function Request({ token, of }: { token: string; of: Schemas['AgreementView'] }) {
  const answer = useAnswer(token);
  const ours = of.state === 'TOLD' || of.state === 'OBJECTED';
  const given = of.state === 'CONFIRMED' || of.state === 'VOUCHED_FOR' || of.state === 'TOLD';
  return (
    <>
      <h1 className="text-lg font-bold">Mail from {of.from}</h1>
      <p className="mt-2">
        {ours
          ? `By rules of ${of.who}, some of the mail that comes in at ${of.fromAddress} is handed on to `
          : `${of.who} would like to hand on some of the mail that comes in at ${of.fromAddress} to `}
        <b className="break-words">{of.address}</b>.
      </p>
      {of.mail.length > 0 && (
        <>
          <h2 className="mt-3 text-sm font-semibold text-ink2">{given ? 'What comes' : 'What would come'}</h2>
          <ul className="list-disc pl-5">
            {of.mail.map((mail, i) => (
              <li key={i}>{mail.words}</li>
            ))}
          </ul>
        </>
      )}
      <p role="status" className={`mt-3 font-semibold ${given ? 'text-moss' : ''}`}>
        {stateInWords(of)}
      </p>
      {answer.error && (
        <div className="mt-2">
          <Trouble text={problemText(answer.error)} />
        </div>
      )}
      <div className="mt-4 flex flex-wrap gap-2">
        {of.open && (
          <Button look="go" disabled={answer.isPending} onClick={() => answer.mutate(true)}>
            {agreeing(of.state)}
          </Button>
        )}
        {of.state !== 'DECLINED' && of.state !== 'OBJECTED' && (
          <Button disabled={answer.isPending} onClick={() => answer.mutate(false)}>
            {declining(of.state, given)}
          </Button>
        )}
      </div>
      <p className="mt-4 text-sm text-ink2">{goesOn(of, given)}</p>
    </>
  );
}

function agreeing(state: Schemas['AgreementView']['state']): string {
  switch (state) {
    case 'CONFIRMED':
      return 'I agree for another 12 months';
    case 'OBJECTED':
      return 'I want this mail after all';
    default:
      return 'I agree';
  }
}

function declining(state: Schemas['AgreementView']['state'], given: boolean): string {
  if (state === 'TOLD') {
    return 'I do not want this mail';
  }
  return given ? 'Stop this mail' : 'I decline';
}

/** What holds from now on. */
function goesOn(of: Schemas['AgreementView'], given: boolean): string {
  if (of.state === 'TOLD') {
    return 'You can say so here at any time.';
  }
  if (of.state === 'OBJECTED' || of.state === 'DECLINED') {
    return 'If you change your mind, you can say so here.';
  }
  if (given) {
    return `The agreement ends on ${dayAndTime(of.endsAt ?? of.until)}. You can stop the mail here at any time.`;
  }
  return of.open
    ? `You can agree here until ${dayAndTime(of.until)}. If you do nothing, nothing comes.`
    : `This link no longer agrees to anything. Ask ${of.who} for a new request.`;
}

function stateInWords(of: Schemas['AgreementView']): string {
  switch (of.state) {
    case 'VOUCHED_FOR':
      return `Mail comes: somebody vouched for this address on ${dayAndTime(of.since)}.`;
    case 'CONFIRMED':
      return `You agreed on ${dayAndTime(of.since)}.`;
    case 'DECLINED':
      return `You declined on ${dayAndTime(of.since)}. No mail comes.`;
    case 'LAPSED':
      return 'Your agreement has ended. Nothing comes.';
    case 'TOLD':
      return 'This mail comes to you.';
    case 'OBJECTED':
      return `You objected on ${dayAndTime(of.since)}. No mail comes.`;
    case 'ASKED':
      return 'Nothing comes before you agree.';
  }
}
