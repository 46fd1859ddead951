import { Link } from 'react-router';
import type { Schemas } from '../../../api/client';
import { counted } from '../../../lib/numbers';
import { Button } from '../../../ui/Button';
import type { Happening } from '../../../ui/glyphs';
import { ACTS, type Act } from '../../records';
import { NeedRow } from './NeedRow';

const SHOWN = 2;

interface Props {
  /** The newest first. */
  records: Schemas['RecordView'][];
  of: Happening;
  /** What has become of each. */
  words: string;
  /** Where all of them are listed. */
  list: string;
  busy: boolean;
  onAct: (step: string, act: Act) => void;
}

/** Messages of one rule that somebody is to see to: the newest with what can be done, the others in Records. */
export function OfOneRule({ records, of, words, list, busy, onAct }: Props) {
  return (
    <>
      {records.slice(0, SHOWN).map(({ step, message }) => (
        <NeedRow
          key={step.id}
          of={of}
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
          <b className="text-clay">{words}</b> · <bdi>{message.sender}</bdi> · rule {step.ruleName}
          {step.because && <span className="block">{step.because.words}</span>}
        </NeedRow>
      ))}
      {records.length > SHOWN && (
        <li className="border-b border-line bg-sheet px-3 py-2 pl-[42px] text-sm last:rounded-b-md last:border-b-0">
          <Link className="font-semibold text-moss hover:underline" to={list}>
            {counted(records.length - SHOWN, 'more message')} of {records[0]?.step.ruleName}{' '}
            {words.toLowerCase()}
          </Link>
        </li>
      )}
    </>
  );
}
