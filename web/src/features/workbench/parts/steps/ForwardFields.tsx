import { useState } from 'react';
import { withMember } from '../../../../lib/members';
import { Button } from '../../../../ui/Button';
import { Choice } from '../../../../ui/Choice';
import { TextField } from '../../../../ui/Field';
import { OwnNote, useTemplates } from '../../../templates';
import type { Step } from '../../model';
import { Identity } from './Identity';
import type { Around } from '../../around';

type ForwardOf = Extract<Step, { do: 'forward' }>;

interface Props {
  step: ForwardOf;
  around: Around;
  onChange: (step: Step) => void;
}

const WRITTEN_HERE = '';
const GO: { value: NonNullable<ForwardOf['answersGo']>; text: string }[] = [
  { value: 'to us', text: 'to us' },
  { value: 'to sender', text: 'to the sender' },
  { value: 'to both', text: 'to the sender and to us' },
];

/** What a forward puts around the original. */
export function ForwardFields({ step, around, onChange }: Props) {
  const plain = !step.prefix && !step.subject && !step.attached && !step.from && !step.answersGo;
  const [more, setMore] = useState(!plain);
  const templates = useTemplates();
  const options = (templates.data?.templates ?? []).map((t) => ({ value: t.id, text: t.written.name }));
  const heading = step.subject !== undefined ? 'new' : 'prefix';
  return (
    <div className="mt-1.5 grid gap-1.5 text-sm text-ink2">
      {options.length > 0 && (
        <span>
          with a note above the message,{' '}
          <Choice
            label="the note"
            value={step.noteTemplate ?? WRITTEN_HERE}
            options={[{ value: WRITTEN_HERE, text: 'written here' }, ...options]}
            onChoose={(chosen) =>
              onChange(noted(step, chosen === WRITTEN_HERE ? {} : { noteTemplate: chosen }))
            }
          />
        </span>
      )}
      {step.noteTemplate === undefined && (
        <OwnNote note={step.note ?? ''} onChange={(note) => onChange(noted(step, note ? { note } : {}))} />
      )}
      {!more && (
        <div>
          <Button small look="quiet" className="-ml-2" onClick={() => setMore(true)}>
            subject, form, where replies go …
          </Button>
        </div>
      )}
      {more && (
        <>
          <span>
            under{' '}
            <Choice
              label="the subject"
              value={heading}
              options={[
                { value: 'prefix', text: 'the original subject with a prefix' },
                { value: 'new', text: 'a new subject' },
              ]}
              onChoose={(chosen) => onChange(headed(step, chosen === 'new' ? { subject: '' } : {}))}
            />
          </span>
          <TextField
            label={heading === 'new' ? 'New subject' : 'Prefix'}
            hideLabel
            placeholder={heading === 'new' ? 'the new subject' : 'Fwd:'}
            value={step.subject ?? step.prefix ?? ''}
            onChange={(e) =>
              onChange(
                headed(
                  step,
                  heading === 'new'
                    ? { subject: e.target.value }
                    : e.target.value
                      ? { prefix: e.target.value }
                      : {},
                ),
              )
            }
          />
          <span>
            the original{' '}
            <Choice
              label="the original"
              value={step.attached ? 'attached' : 'inline'}
              options={[
                { value: 'inline', text: 'below the note' },
                { value: 'attached', text: 'as an attached message' },
              ]}
              onChoose={(chosen) =>
                onChange(withMember(step, 'attached', chosen === 'attached' || undefined))
              }
            />
          </span>
          <span>
            replies go{' '}
            <Choice
              label="replies go"
              value={step.answersGo ?? 'to us'}
              options={GO}
              onChoose={(chosen) =>
                onChange(withMember(step, 'answersGo', chosen === 'to us' ? undefined : chosen))
              }
            />
          </span>
          <Identity
            from={step.from}
            around={around}
            onChange={(from) => onChange(withMember(step, 'from', from))}
          />
        </>
      )}
    </div>
  );
}

function noted(step: ForwardOf, note: { note?: string; noteTemplate?: string }): Step {
  return { ...withMember(withMember(step, 'note', undefined), 'noteTemplate', undefined), ...note };
}

function headed(step: ForwardOf, heading: { subject?: string; prefix?: string }): Step {
  return { ...withMember(withMember(step, 'subject', undefined), 'prefix', undefined), ...heading };
}
