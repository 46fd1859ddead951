import { useState } from 'react';
import { Button } from '../../../ui/Button';
import { TextField } from '../../../ui/Field';

interface Props {
  onCopy: (sender: string) => void;
  onClose: () => void;
}

/** Asks whose mail a copy of a rule is to take. */
export function CopyFor({ onCopy, onClose }: Props) {
  const [sender, setSender] = useState('');
  const whole = /^([^@\s]+@)?[\w-]+(\.[\w-]+)+$/.test(sender.trim());
  return (
    <form
      className="mt-2 grid gap-2 rounded border border-line p-2.5"
      onSubmit={(e) => {
        e.preventDefault();
        if (whole) {
          onCopy(sender.trim());
        }
      }}
    >
      <TextField
        label="Copy the rule for mail from"
        placeholder="an address or a domain"
        autoFocus
        value={sender}
        onChange={(e) => setSender(e.target.value)}
      />
      <span className="flex justify-end gap-2">
        <Button small look="quiet" onClick={onClose}>
          Cancel
        </Button>
        <Button small look="go" type="submit" disabled={!whole}>
          Open the copy
        </Button>
      </span>
    </form>
  );
}
