import { Link } from 'react-router';
import type { Schemas } from '../../../api/client';
import { dayAndTime } from '../../../lib/dates';
import { counted } from '../../../lib/numbers';
import { NeedRow } from './NeedRow';
import { ToWaiting } from './ToWaiting';

const RULES_NAMED = 3;

/** Messages that rules send on approval, the newest first: looked at in one place, each beside its original. */
export function ApprovalNeed({ of }: { of: Schemas['RecordView'][] }) {
  const rules = [...new Set(of.map(({ step }) => step.ruleName))];
  const oldest = of.at(-1)?.step.plannedAt;
  return (
    <NeedRow
      of="HELD"
      title={
        <Link className="hover:underline" to="/records?view=waiting">
          {counted(of.length, 'message')} to approve
        </Link>
      }
      acts={<ToWaiting>Look at {of.length === 1 ? 'it' : 'them'}</ToWaiting>}
    >
      by{' '}
      {rules
        .slice(0, RULES_NAMED)
        .map((name) => `“${name}”`)
        .join(', ')}
      {rules.length > RULES_NAMED && ` and ${counted(rules.length - RULES_NAMED, 'other rule')}`}
      {oldest !== undefined && ` · the first since ${dayAndTime(oldest)}`}
    </NeedRow>
  );
}
