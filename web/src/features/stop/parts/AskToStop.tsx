import { useState } from 'react';
import { problemText } from '../../../api/problem';
import { counted } from '../../../lib/numbers';
import { Question } from '../../../ui/Question';
import { useDone, useMailbox } from '../../mailbox';
import { useStopping } from '../queries';

interface Props {
  open: boolean;
  /** How many other mailboxes the person has. */
  others: number;
  onClose: () => void;
}

/** Before everything that leaves is held back. */
export function AskToStop({ open, others, onClose }: Props) {
  const mailbox = useMailbox();
  const [all, setAll] = useState(others > 0);
  const { stop } = useStopping();
  const { tell } = useDone();
  const yes = () => {
    stop.mutate(all, { onError: (failed) => tell({ text: problemText(failed) }) });
    onClose();
  };
  return (
    <Question open={open} title="Stop all outgoing mail?" yes="Stop it" onNo={onClose} onYes={yes}>
      <p>
        Replies, forwards and redirects from {mailbox.data?.address} wait until somebody lets mail leave
        again. Nothing is lost, and filing and marking go on. A reply that waits for more than a day then
        waits for a person.
      </p>
      {others > 0 && (
        <label className="mt-2 flex items-center gap-2 text-ink">
          <input type="checkbox" checked={all} onChange={(e) => setAll(e.target.checked)} />
          also stop{' '}
          {others === 1 ? 'my other mailbox' : `my ${counted(others, 'other mailbox', 'other mailboxes')}`}
        </label>
      )}
    </Question>
  );
}
