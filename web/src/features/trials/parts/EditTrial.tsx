import { useState } from 'react';
import { problemText } from '../../../api/problem';
import type { Schemas } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { TextArea, TextField } from '../../../ui/Field';
import { Sheet } from '../../../ui/Sheet';
import { Trouble } from '../../../ui/States';
import { useDone } from '../../mailbox';
import { localTime } from '../../../lib/dates';
import { useBlanked, useChangeTrial } from '../queries';
import { Wanted, type Want } from './Wanted';

interface Props {
  view: Schemas['TrialDetails'];
  onClose: () => void;
}

/** A trial's message, its instant and what must happen, written anew. */
export function EditTrial({ view, onClose }: Props) {
  const { line } = view;
  const [name, setName] = useState(line.name);
  const [at, setAt] = useState(localTime(line.at));
  const [text, setText] = useState(view.written);
  const [wanted, setWanted] = useState<Want[]>(() =>
    line.expected.map(({ fate, of, must }) => ({ fate, of, must })),
  );
  const change = useChangeTrial();
  const blanked = useBlanked();
  const { tell } = useDone();
  const set = (part: Partial<Schemas['TrialText']>) => setText({ ...text, ...part });
  /** It is called by its subject, which may name somebody, too. */
  const blank = (now: Schemas['TrialText']) => {
    setText(now);
    setName(view.written.subject.startsWith(name) ? now.subject : name);
  };
  const rewritten = text !== view.written;
  const failed = change.error ?? blanked.error;
  const save = () =>
    change.mutate(
      {
        trial: line.id,
        change: {
          name,
          at: new Date(at).toISOString(),
          expected: wanted,
          ...(rewritten ? { text } : {}),
        },
      },
      {
        onSuccess: () => {
          tell({ text: `The trial “${name}” is saved.` });
          onClose();
        },
      },
    );
  return (
    <Sheet title="Edit the trial" open onClose={onClose}>
      <div className="grid gap-3">
        {failed && <Trouble text={problemText(failed)} />}
        <div className="grid grid-cols-2 gap-3">
          <TextField label="called" value={name} onChange={(e) => setName(e.target.value)} />
          <TextField
            label="comes in"
            type="datetime-local"
            value={at}
            onChange={(e) => setAt(e.target.value)}
          />
        </div>
        <Wanted wanted={wanted} onChange={setWanted} />
        <h3 className="mt-1 font-bold">Its message</h3>
        <div className="grid grid-cols-2 gap-3">
          <TextField label="from" value={text.from} onChange={(e) => set({ from: e.target.value })} />
          <TextField label="to" value={text.to} onChange={(e) => set({ to: e.target.value })} />
        </div>
        <TextField label="subject" value={text.subject} onChange={(e) => set({ subject: e.target.value })} />
        <TextArea label="text" rows={9} value={text.text} onChange={(e) => set({ text: e.target.value })} />
        <p className="text-sm text-ink2">
          {rewritten
            ? 'A message written anew is plain text; of attachments the names stay.'
            : 'The message is as it came in.'}
        </p>
        <div className="flex flex-wrap gap-2">
          <Button
            look="go"
            disabled={change.isPending || wanted.length === 0 || name.trim() === '' || at === ''}
            onClick={save}
          >
            Save
          </Button>
          <Button disabled={blanked.isPending} onClick={() => blanked.mutate(line.id, { onSuccess: blank })}>
            Blank personal parts
          </Button>
        </div>
      </div>
    </Sheet>
  );
}
