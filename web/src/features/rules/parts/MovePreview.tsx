import { useEvidenceDays, ShortDate } from '../../mailbox';
import type { Schemas } from '../../../api/client';
import { count, counted } from '../../../lib/numbers';
import { Question } from '../../../ui/Question';

interface Props {
  what: string;
  preview: Schemas['ChangedHandsView'] | undefined;
  onYes: () => void;
  onNo: () => void;
}

/** Which messages other rules would act on, before an order is saved. */
export function MovePreview({ what, preview, onYes, onNo }: Props) {
  const days = useEvidenceDays();
  if (!preview) {
    return null;
  }
  return (
    <Question open title={what} yes="Save this order" onYes={onYes} onNo={onNo}>
      {counted(preview.changed, 'message')} of {count(preview.messages)} in the last {days} days would be
      handled by other rules:
      {preview.examples.map((change) => (
        <span key={change.message.id} className="mt-1.5 block text-sm">
          <span className="figures text-ink2">
            <ShortDate of={change.message.received} />
          </span>{' '}
          {change.message.subject || '(no subject)'}
          <span className="block text-ink2">
            {names(change.before)} → {names(change.after)}
          </span>
        </span>
      ))}
    </Question>
  );
}

function names(rules: string[]): string {
  return rules.length === 0 ? 'no rule' : rules.map((name) => `“${name}”`).join(', then ');
}
