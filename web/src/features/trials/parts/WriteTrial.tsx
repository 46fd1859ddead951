import { useState } from 'react';
import { problemText } from '../../../api/problem';
import type { Schemas } from '../../../api/client';
import { withMember } from '../../../lib/members';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/Choice';
import { TextArea, TextField } from '../../../ui/Field';
import { Sheet } from '../../../ui/Sheet';
import { Trouble } from '../../../ui/States';
import { useDone, useMailbox } from '../../mailbox';
import { SENT_BY } from '../model';
import { useKeepTrial } from '../queries';

type Sample = Schemas['SampleMessage'];

const MUST = [
  { value: 'pick', text: 'must pick it' },
  { value: 'not pick', text: 'must not pick it' },
];

interface Props {
  rule: string;
  name: string;
  onClose: () => void;
}

/** A trial of a rule, of a message that a person writes. */
export function WriteTrial({ rule, name, onClose }: Props) {
  const own = useMailbox().data?.address ?? '';
  const [sample, setSample] = useState<Sample>({ from: '', to: '', subject: '', text: '' });
  const [picked, setPicked] = useState(true);
  const keep = useKeepTrial();
  const { tell } = useDone();
  const set = (change: Partial<Sample>) => setSample({ ...sample, ...change });
  return (
    <Sheet title={`A trial of “${name}”`} open onClose={onClose}>
      <div className="grid gap-3">
        {keep.isError && <Trouble text={problemText(keep.error)} />}
        <p>
          The rule{' '}
          <Choice
            label="what must be"
            value={picked ? 'pick' : 'not pick'}
            options={MUST}
            onChoose={(chosen) => setPicked(chosen === 'pick')}
          />
        </p>
        <div className="grid grid-cols-2 gap-3">
          <TextField label="from" value={sample.from} onChange={(e) => set({ from: e.target.value })} />
          <TextField
            label="to"
            placeholder={own}
            value={sample.to}
            onChange={(e) => set({ to: e.target.value })}
          />
        </div>
        <TextField
          label="subject"
          value={sample.subject}
          onChange={(e) => set({ subject: e.target.value })}
        />
        <TextArea label="text" rows={6} value={sample.text} onChange={(e) => set({ text: e.target.value })} />
        <div className="flex flex-wrap items-end gap-3">
          <span>
            sent{' '}
            <Choice
              label="how it was sent"
              value={sample.sentBy ?? 'A_PERSON'}
              options={SENT_BY}
              onChoose={(by) => setSample(withMember(sample, 'sentBy', by === 'A_PERSON' ? undefined : by))}
            />
          </span>
          <TextField
            label="attached: a file’s name"
            value={sample.attachment ?? ''}
            onChange={(e) => setSample(withMember(sample, 'attachment', e.target.value || undefined))}
          />
        </div>
        <div>
          <Button
            look="go"
            disabled={keep.isPending || sample.from.trim() === ''}
            onClick={() =>
              keep.mutate(
                { ruleId: rule, order: 0, sample, picked },
                {
                  onSuccess: () => {
                    tell({ text: `Kept as a trial of “${name}”.` });
                    onClose();
                  },
                },
              )
            }
          >
            Keep it
          </Button>
        </div>
      </div>
    </Sheet>
  );
}
