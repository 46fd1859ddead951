import { withMember } from '../../../../lib/members';
import { Choice } from '../../../../ui/Choice';
import type { Step } from '../../model';
import { FIRST } from '../../../rules';
import { minutesIn, releasedWith, type Leaving } from '../../release';

const WAITS = 'after';
const OPTIONS = [
  { value: 'at once', text: 'at once' },
  { value: WAITS, text: 'after a while, and can be stopped until then', short: 'after' },
  { value: 'at opening', text: 'in opening hours' },
  { value: 'on approval', text: 'once somebody approves it' },
  {
    value: 'first on approval',
    text: `the first ${FIRST} once somebody approves them, then at once`,
  },
];

interface Props {
  step: Leaving;
  onChange: (step: Step) => void;
}

/** When something that leaves goes out. */
export function WhenItGoesOut({ step, onChange }: Props) {
  const now = step.afterMinutes === undefined ? (step.release ?? 'at once') : WAITS;
  return (
    <p className="text-sm text-ink2">
      goes out{' '}
      <Choice
        label="when it goes out"
        value={now}
        options={OPTIONS}
        onChoose={(chosen) => onChange(releasedWith(step, chosen === WAITS ? { minutes: 10 } : chosen))}
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
