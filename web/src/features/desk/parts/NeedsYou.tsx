import { Link } from 'react-router';
import { problemText } from '../../../api/problem';
import { dayAndTime } from '../../../lib/dates';
import { counted } from '../../../lib/numbers';
import { Button } from '../../../ui/Button';
import { Trouble } from '../../../ui/States';
import { isHeldFor, useDestinations, waitedForNow } from '../../destinations';
import { doneInWords, stateInWords } from '../../incoming';
import {
  ACTS,
  isOverLimit,
  isToApprove,
  useAct,
  useBroughtBack,
  useRecords,
  useUnanswered,
} from '../../records';
import { useTrialCounts } from '../../trials';
import { byRule } from '../model';
import { useSetAside } from '../queries';
import { Uncovered, useUncovered } from './Away';
import { DestinationNeed } from './DestinationNeed';
import { DifferingTrials } from './DifferingTrials';
import { HeldTogether } from './HeldTogether';
import { NeedRow } from './NeedRow';
import { OfOneRule } from './OfOneRule';
import { SetAside } from './SetAside';

const SHOWN = 8;
const DAYS = 7;

const NOT_ANSWERED = {
  of: 'REPLY',
  words: 'Not answered, and out of the inbox',
  list: '/records?view=unanswered',
} as const;
const BACK = { of: 'BRING_BACK', words: 'Back in the inbox', list: '/records?view=brought-back' } as const;

/** What waits for a person, most urgent first, each with what can be done about it. */
export function NeedsYou() {
  const records = useRecords(['UNCERTAIN', 'FAILED', 'HELD']);
  const unanswered = useUnanswered(DAYS);
  const broughtBack = useBroughtBack(DAYS);
  const act = useAct();
  const all = records.data ?? [];
  const toApprove = all.filter(({ step }) => isToApprove(step));
  const overLimit = all.filter(({ step }) => isOverLimit(step));
  const waited = waitedForNow(useDestinations().data ?? []);
  const waiting = all.filter(
    (one) =>
      !toApprove.includes(one) &&
      !overLimit.includes(one) &&
      !waited.some((destination) => isHeldFor(one.step, destination)),
  );
  const setAside = useSetAside().data ?? [];
  const unseen = byRule(unanswered.data ?? []).map((of) => ({ ...NOT_ANSWERED, records: of }));
  const back = byRule(broughtBack.data ?? []).map((of) => ({ ...BACK, records: of }));
  const differing = useTrialCounts().data?.differing ?? 0;
  const uncovered = useUncovered();
  const nothing =
    all.length +
      uncovered.length +
      setAside.length +
      unseen.length +
      back.length +
      waited.length +
      differing ===
    0;
  const failed = records.error ?? unanswered.error ?? broughtBack.error ?? act.error;
  const again = () => void Promise.all([records.refetch(), unanswered.refetch(), broughtBack.refetch()]);
  return (
    <section aria-label="Needs you">
      <h2 className="mb-1.5 font-bold">Needs you</h2>
      {failed !== null && <Trouble text={problemText(failed)} onRetry={again} />}
      {nothing && !records.isPending && !failed && (
        <p className="text-ink2">
          Nothing needs you right now. What is held, fails or stays unanswered is listed here.
        </p>
      )}
      <ul className={nothing ? '' : 'rounded-md border border-line'}>
        <HeldTogether words="to approve" of={toApprove} />
        <HeldTogether words="held, as more are leaving than usual" of={overLimit} />
        {waiting.slice(0, SHOWN).map(({ step, message }) => (
          <NeedRow
            key={step.id}
            of={step.state === 'HELD' ? 'HELD' : step.kind}
            title={
              <Link className="hover:underline" to={`/incoming/${message.id}`}>
                <bdi>{message.subject || '(no subject)'}</bdi>
              </Link>
            }
            acts={step.acts.map((one, i) => (
              <Button
                key={one}
                small
                look={i === 0 && step.acts.length > 1 ? 'plain' : 'quiet'}
                disabled={act.isPending}
                onClick={() => act.mutate({ step: step.id, act: one })}
              >
                {ACTS[one]}
              </Button>
            ))}
          >
            {doneInWords(step)} — <b className="text-clay">{stateInWords(step.state)}</b> ·{' '}
            {dayAndTime(step.plannedAt)}
            {step.because && <span className="block">{step.because.words}</span>}
            {step.advice && <span className="block text-ink">{step.advice.words}</span>}
          </NeedRow>
        ))}
        {waiting.length > SHOWN && (
          <li className="border-b border-line bg-sheet px-3 py-2 pl-[42px] text-sm last:border-b-0">
            <Link className="font-semibold text-moss hover:underline" to="/records?view=needs">
              {counted(waiting.length - SHOWN, 'more step')} that need you
            </Link>
          </li>
        )}
        {uncovered.map((one) => (
          <Uncovered key={one.id} of={one} />
        ))}
        <DifferingTrials />
        {waited.map((one) => (
          <DestinationNeed key={one.id} of={one} />
        ))}
        {setAside.map((one) => (
          <SetAside key={`aside ${one.message.id}`} {...one} />
        ))}
        {[...back, ...unseen].map(({ records: of, ...shown }) => (
          <OfOneRule
            key={`${shown.of} ${of[0]?.step.rule ?? ''}`}
            records={of}
            busy={act.isPending}
            onAct={(step, chosen) => act.mutate({ step, act: chosen })}
            {...shown}
          />
        ))}
      </ul>
    </section>
  );
}
