import { useState } from 'react';
import { problemText } from '../../../api/problem';
import type { Schemas } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { TextField } from '../../../ui/Field';
import { Sheet } from '../../../ui/Sheet';
import { Trouble } from '../../../ui/States';
import { useDone } from '../../mailbox';
import type { RuleBook } from '../../rules';
import type { Result } from '../model';
import { useKeep } from '../queries';

interface Props {
  standing: Schemas['RehearsalStanding'];
  result: Result;
  document: RuleBook;
  words: string;
}

/** Keeps the rehearsed rules with a name, to be rehearsed again later. */
export function KeepAsNamed({ standing, result, document, words }: Props) {
  const [open, setOpen] = useState(false);
  const [name, setName] = useState(words.slice(0, 200));
  const keep = useKeep();
  const { tell } = useDone();
  return (
    <>
      <Button onClick={() => setOpen(true)}>Keep as …</Button>
      <Sheet title="Keep this rehearsal" open={open} onClose={() => setOpen(false)}>
        <form
          className="grid gap-3"
          onSubmit={(e) => {
            e.preventDefault();
            keep.mutate(
              { name, document, days: standing.days, messages: result.messages, changing: result.changing },
              {
                onSuccess: () => {
                  tell({ text: `The rehearsal is kept as “${name}”.` });
                  setOpen(false);
                },
              },
            );
          }}
        >
          {keep.isError && <Trouble text={problemText(keep.error)} />}
          <p className="text-ink2">
            The rules are kept as they were rehearsed, with how many messages changed hands. Opened again,
            they are compared with the rules and the mail of then.
          </p>
          <TextField label="name" value={name} onChange={(e) => setName(e.target.value)} />
          <div>
            <Button type="submit" look="go" disabled={keep.isPending || name.trim() === ''}>
              Keep it
            </Button>
          </div>
        </form>
      </Sheet>
    </>
  );
}
