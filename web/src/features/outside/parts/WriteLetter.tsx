import { useState } from 'react';
import { problemText } from '../../../api/problem';
import { Button } from '../../../ui/Button';
import { TextArea, TextField } from '../../../ui/Field';
import { Trouble } from '../../../ui/States';
import { useWrite } from '../queries';

const BLANK = { from: '', to: 'visits@ostrel-gardens.example', subject: '', text: '' };

/** Writes as any correspondent; the message goes out by SMTP like any other. */
export function WriteLetter() {
  const [letter, setLetter] = useState(BLANK);
  const write = useWrite();
  const set = (key: keyof typeof BLANK) => (e: { target: { value: string } }) => {
    write.reset();
    setLetter({ ...letter, [key]: e.target.value });
  };
  return (
    <form
      aria-label="Write as anybody"
      className="grid gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        write.mutate(letter);
      }}
    >
      <TextField
        label="From, any address"
        placeholder="Planning <planning@lindgren-coaches.example>"
        value={letter.from}
        onChange={set('from')}
      />
      <TextField label="To" value={letter.to} onChange={set('to')} />
      <TextField label="Subject" value={letter.subject} onChange={set('subject')} />
      <TextArea label="Text" rows={4} value={letter.text} onChange={set('text')} />
      {write.isError && <Trouble text={problemText(write.error)} />}
      <div className="flex items-center gap-3">
        <Button look="go" type="submit" disabled={write.isPending || letter.from === '' || letter.to === ''}>
          Send it
        </Button>
        <span role="status" className="text-sm text-ink2">
          {write.isSuccess && 'Sent.'}
        </span>
      </div>
    </form>
  );
}
