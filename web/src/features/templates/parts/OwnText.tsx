import { useRef } from 'react';
import { useTemplates } from '../queries';
import { FieldChips } from './FieldChips';
import { Fielded } from './Fielded';
import type { FieldHand } from './FieldText';

interface Props {
  subject: string;
  text: string;
  onChange: (words: { subject: string } | { text: string }) => void;
}

/** Words that are written in a rule itself; fields go where the cursor stood last, as in a template. */
export function OwnText({ subject, text, onChange }: Props) {
  const fields = useTemplates().data?.fields ?? [];
  const hand = useRef<FieldHand>(undefined);
  const take = (taken: FieldHand) => {
    hand.current = taken;
  };
  return (
    <>
      <Fielded
        label="Subject (empty: “Auto: ” and the original subject)"
        lines={1}
        text={subject}
        fields={fields}
        onHand={take}
        onChange={(changed) => onChange({ subject: changed })}
      />
      <Fielded
        label="Text"
        lines={5}
        first
        text={text}
        fields={fields}
        onHand={take}
        onChange={(changed) => onChange({ text: changed })}
      />
      <FieldChips fields={fields} onInsert={(key) => hand.current?.putIn(key)} />
    </>
  );
}

/** A note that is written in a rule itself, above a forward. */
export function OwnNote({ note, onChange }: { note: string; onChange: (note: string) => void }) {
  const fields = useTemplates().data?.fields ?? [];
  const hand = useRef<FieldHand>(undefined);
  return (
    <>
      <Fielded
        label="Note above the message (optional)"
        lines={3}
        first
        text={note}
        fields={fields}
        onHand={(taken) => {
          hand.current = taken;
        }}
        onChange={onChange}
      />
      {note !== '' && <FieldChips fields={fields} onInsert={(key) => hand.current?.putIn(key)} />}
    </>
  );
}
