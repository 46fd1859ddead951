import type { Schemas } from '../../../api/client';
import { shortDate } from '../../../lib/dates';
import { count, counted } from '../../../lib/numbers';
import { Question } from '../../../ui/Question';

interface Props {
  what: string;
  preview: Schemas['RehearsalView'] | undefined;
  onYes: () => void;
  onNo: () => void;
}

/** Which mail would change hands, before an order is saved. */
export function MovePreview({ what, preview, onYes, onNo }: Props) {
  if (!preview) {
    return null;
  }
  return (
    <Question open title={what} yes="Save this order" onYes={onYes} onNo={onNo}>
      {counted(preview.changed, 'message')} of the {count(preview.window)} in the window would change hands:
      {preview.examples.map((change) => (
        <span key={change.message.id} className="mt-1.5 block text-sm">
          <span className="figures text-ink2">{shortDate(change.message.received)}</span>{' '}
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
