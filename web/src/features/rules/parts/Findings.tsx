import { Link } from 'react-router';
import type { Schemas } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { ShortDate } from '../../mailbox';

type Finding = Schemas['FindingView'];

const NAMES: Record<Finding['sort'], string> = {
  LOOP_WITHOUT_END: 'mail goes round without end',
  BACK_TO_OWN_MAILBOX: 'sends mail back to this mailbox',
  CAN_NEVER_MATCH: 'can never match',
  NEVER_REACHED: 'never reached',
  SAME_AS_ANOTHER: 'same as another',
  GAP_BETWEEN: 'nobody is active in between',
  BOTH_ACTIVE: 'active beside another',
  NAMES_A_DAY_THAT_PASSES: 'names a day that passes',
  TWO_REPLIES: 'two replies to one message',
  GOES_ROUND: 'mail goes round, and ends',
  UNANSWERED_AND_MOVED: 'moved without an answer',
  FORWARD_AND_REDIRECT: 'forwarded and redirected',
  TOO_BROAD: 'very broad',
  PART_OF_LONGER_WORDS: 'part of longer words',
  NEGATED: 'may mean the opposite',
  COVERED_VALUES: 'values that add nothing',
  NEVER_ACTIVE: 'never active again',
  NEVER_MATCHED: 'never matched',
};

/** Found by playing them through. */
const LOOPS: Finding['sort'][] = ['LOOP_WITHOUT_END', 'GOES_ROUND'];

interface Props {
  findings: Finding[];
  onRemedy: (finding: Finding) => void;
}

/** Findings on one rule: the cause, an example, and a remedy. */
export function Findings({ findings, onRemedy }: Props) {
  if (findings.length === 0) {
    return null;
  }
  return (
    <section aria-label="Findings" className="mt-4">
      <h3 className="mb-1 text-sm font-semibold text-ink2">Worth a look</h3>
      <ul className="grid gap-2">
        {findings.map((finding) => (
          <li key={finding.id} className="rounded border border-dashed border-line2 px-2.5 py-2">
            <p className="text-sm font-semibold">{NAMES[finding.sort]}</p>
            <p className="text-sm">{finding.cause.words}</p>
            {finding.example && (
              <p className="mt-0.5 truncate text-sm text-ink2">
                like{' '}
                <Link className="text-moss" to={`/incoming/${finding.example.id}?view=messages`}>
                  {finding.example.subject || '(no subject)'}
                </Link>{' '}
                · <ShortDate of={finding.example.received} />
              </p>
            )}
            {finding.sort === 'NEVER_ACTIVE' && (
              <p className="mt-0.5 text-sm">
                <Link className="font-semibold text-moss" to={`/timetable?days=${finding.rule}`}>
                  Give it new days
                </Link>
              </p>
            )}
            {LOOPS.includes(finding.sort) && (
              <p className="mt-0.5 text-sm">
                <Link
                  className="font-semibold text-moss"
                  to={`/rules?view=where-mail-goes&rule=${finding.rule}`}
                >
                  Show the messages
                </Link>
              </p>
            )}
            {finding.remedy && (
              <Button small className="mt-1.5 max-w-full" onClick={() => onRemedy(finding)}>
                <span className="truncate">{finding.remedy.words}</span>
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
