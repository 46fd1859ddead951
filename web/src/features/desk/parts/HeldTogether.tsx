import { Link } from 'react-router';
import type { Schemas } from '../../../api/client';
import { dayAndTime } from '../../../lib/dates';
import { counted } from '../../../lib/numbers';
import { NeedRow } from './NeedRow';
import { ToWaiting } from './ToWaiting';

const RULES_NAMED = 3;

interface Props {
  /** Follows how many there are. */
  words: string;
  /** The newest first. */
  of: Schemas['RecordView'][];
}

/** Messages that wait for the same: looked at in one place, each beside its original. Nothing where there are none. */
export function HeldTogether({ words, of }: Props) {
  const rules = [...new Set(of.map(({ step }) => step.ruleName))];
  const oldest = of.at(-1)?.step.plannedAt;
  return oldest === undefined ? null : (
    <NeedRow
      of="HELD"
      title={
        <Link className="hover:underline" to="/records?view=waiting">
          {counted(of.length, 'message')} {words}
        </Link>
      }
      acts={<ToWaiting>Look at {of.length === 1 ? 'it' : 'them'}</ToWaiting>}
    >
      by{' '}
      {rules
        .slice(0, RULES_NAMED)
        .map((name) => `“${name}”`)
        .join(', ')}
      {rules.length > RULES_NAMED && ` and ${counted(rules.length - RULES_NAMED, 'other rule')}`} · the first
      since {dayAndTime(oldest)}
    </NeedRow>
  );
}
