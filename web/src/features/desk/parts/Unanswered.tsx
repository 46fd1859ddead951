import { Link } from 'react-router';
import type { Schemas } from '../../../api/client';
import { counted } from '../../../lib/numbers';
import { Button } from '../../../ui/Button';
import { ACTS, type Act } from '../../records';
import { NeedRow } from './NeedRow';

const SHOWN = 2;

interface Props {
  /** Of one rule, the newest first. */
  records: Schemas['RecordView'][];
  busy: boolean;
  onAct: (step: string, act: Act) => void;
}

/** Messages that a rule filed away without its answer: the newest with what can be done, the others in Records. */
export function Unanswered({ records, busy, onAct }: Props) {
  return (
    <>
      {records.slice(0, SHOWN).map(({ step, message }) => (
        <NeedRow
          key={step.id}
          of="REPLY"
          title={
            <Link className="hover:underline" to={`/incoming/${message.id}`}>
              <bdi>{message.subject || '(no subject)'}</bdi>
            </Link>
          }
          acts={step.acts.map((act) => (
            <Button
              key={act}
              small
              look={act === 'LEAVE' ? 'quiet' : 'plain'}
              disabled={busy}
              onClick={() => onAct(step.id, act)}
            >
              {ACTS[act]}
            </Button>
          ))}
        >
          <b className="text-clay">Not answered, and out of the inbox</b> · <bdi>{message.sender}</bdi> · rule{' '}
          {step.ruleName}
          {step.because && <span className="block">{step.because.words}</span>}
        </NeedRow>
      ))}
      {records.length > SHOWN && (
        <li className="border-b border-line bg-sheet px-3 py-2 pl-[42px] text-sm last:rounded-b-md last:border-b-0">
          <Link className="font-semibold text-moss hover:underline" to="/records?view=unanswered">
            {counted(records.length - SHOWN, 'more message')} of {records[0]?.step.ruleName} not answered, and
            out of the inbox
          </Link>
        </li>
      )}
    </>
  );
}
