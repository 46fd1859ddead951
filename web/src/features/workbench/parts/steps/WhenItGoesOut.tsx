import { withMember } from '../../../../lib/members';
import { Choice } from '../../../../ui/Choice';
import { useComposing } from '../../../composing';
import { useHours } from '../../../hours';
import type { Step } from '../../model';
import { FIRST } from '../../../rules';
import { composedReply, minutesIn, releasedWith, type Leaving } from '../../release';

const WAITS = 'after';
const OPENS = 'at opening';
const COMPOSED = 'composed';
const OPTIONS = [
  { value: 'at once', text: 'at once' },
  { value: WAITS, text: 'after a while, and can be stopped until then', short: 'after' },
  { value: OPENS, text: 'in opening hours' },
  { value: 'on approval', text: 'once somebody approves it' },
  {
    value: 'first on approval',
    text: `the first ${FIRST} once somebody approves them, then at once`,
  },
];

const AS_COMPOSED = {
  value: COMPOSED,
  text: 'composed from the message, once somebody approves it',
  short: 'composed, once somebody approves it',
};

/** Hours with a name stand behind the opening hours. */
const BEHIND = OPTIONS.findIndex(({ value }) => value === OPENS) + 1;

const optionOf = (name: string) => `${OPENS} ${name}`;

const inHours = (name: string) => ({ value: optionOf(name), text: `in the hours “${name}”` });

const withOwn = (known: string[], own: string | undefined) =>
  own === undefined || known.includes(own) ? known : [...known, own];

interface Props {
  step: Leaving;
  onChange: (step: Step) => void;
}

/** When something that leaves goes out. */
export function WhenItGoesOut({ step, onChange }: Props) {
  const composing = useComposing();
  const isComposed = step.do === 'reply' && step.instruction !== undefined;
  const mayCompose = step.do === 'reply' && (isComposed || composing.data?.host !== undefined);
  const { data: hours } = useHours();
  const named = withOwn(hours?.hours.map(({ name }) => name) ?? [], step.of);
  const plain = step.afterMinutes === undefined ? (step.release ?? 'at once') : WAITS;
  const shown = step.of === undefined ? plain : optionOf(step.of);
  const options = [...OPTIONS.slice(0, BEHIND), ...named.map(inHours), ...OPTIONS.slice(BEHIND)];
  const choose = (chosen: string) => {
    if (chosen === COMPOSED && step.do === 'reply') {
      onChange(isComposed ? step : composedReply(step));
    } else {
      const name = named.find((one) => optionOf(one) === chosen);
      const when = name === undefined ? chosen : { hours: name };
      onChange(releasedWith(step, chosen === WAITS ? { minutes: 10 } : when));
    }
  };
  return (
    <p className="text-sm text-ink2">
      goes out{' '}
      <Choice
        label="when it goes out"
        value={isComposed ? COMPOSED : shown}
        options={mayCompose ? [...options, AS_COMPOSED] : options}
        onChoose={choose}
      />
      {step.afterMinutes !== undefined && (
        <>
          {' '}
          <input
            type="number"
            aria-label="minutes until it goes out"
            className="w-20 rounded border border-line2 bg-sheet px-2 text-ink"
            min={1}
            max={1200}
            value={step.afterMinutes}
            onChange={(e) => onChange(withMember(step, 'afterMinutes', minutesIn(e.target.value)))}
          />{' '}
          {step.afterMinutes === 1 ? 'minute' : 'minutes'}
        </>
      )}
    </p>
  );
}
