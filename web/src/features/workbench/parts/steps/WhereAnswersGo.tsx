import { useState } from 'react';
import { withMember } from '../../../../lib/members';
import { Choice } from '../../../../ui/Choice';
import { TextField } from '../../../../ui/Field';
import { addressFault, ValueChips, withValues } from '../../../criteria';
import { USUAL_IN_FORMS, type AnswerOf, type Step } from '../../model';

type To = NonNullable<AnswerOf['answersTo']>;

const WHERE: { value: To['part']; text: string }[] = [
  { value: 'return path', text: 'the sending address' },
  { value: 'from', text: 'the address in From' },
  { value: 'reply to', text: 'the address in Reply-To' },
  { value: 'text', text: 'whom a web form names' },
];

/** Where the reply goes: the return path, or by choice somewhere else, with a word of warning. */
export function WhereAnswersGo({ step, onChange }: { step: AnswerOf; onChange: (step: Step) => void }) {
  const [typing, setTyping] = useState('');
  const part = step.answersTo?.part ?? 'return path';
  const set = (to: To | undefined) => onChange(withMember(step, 'answersTo', to));
  const inText = step.answersTo?.part === 'text' ? step.answersTo : undefined;
  return (
    <div className="text-sm text-ink2">
      reply to{' '}
      <Choice
        label="where the reply goes"
        value={part}
        options={WHERE}
        onChoose={(chosen) =>
          set(
            chosen === 'return path'
              ? undefined
              : chosen === 'text'
                ? { part: 'text', pattern: USUAL_IN_FORMS, forms: [] }
                : { part: chosen },
          )
        }
      />
      {(part === 'from' || part === 'reply to') && (
        <p>
          Anybody can write any address there. The sending address (return path) is where the mail really came
          from, so automatic replies go there.
        </p>
      )}
      {inText && (
        <div className="mt-1 grid gap-1">
          <p>
            The address in the text of a web form’s mail, or in Reply-To. The person who fills in the form
            decides where the reply goes, so only the forms you name here are answered this way.
          </p>
          <ValueChips
            label="add the sender of a form"
            values={inText.forms ?? []}
            typing={typing}
            isWords={false}
            hint="the form’s sender address …"
            onTyping={setTyping}
            fault={addressFault}
            onAdd={(more, left) => {
              setTyping(left);
              set({ ...inText, forms: withValues(inText.forms ?? [], more) });
            }}
            onRemove={(gone) =>
              set({ ...inText, forms: (inText.forms ?? []).filter((_, i) => !gone.includes(i)) })
            }
          />
          <TextField
            label="Pattern whose first group is the address"
            className="font-mono"
            value={inText.pattern ?? USUAL_IN_FORMS}
            onChange={(e) => set({ ...inText, pattern: e.target.value })}
          />
        </div>
      )}
    </div>
  );
}
