import { Link } from 'react-router';
import { Choice } from '../../../ui/Choice';
import { TextArea, TextField } from '../../../ui/Field';
import { useTemplates } from '../../templates';
import type { Step } from '../model';

type AnswerStep = Extract<Step, { do: 'reply' }>;

const WRITTEN_HERE = '';

/** An answer written here, or taken from a template. */
export function ReplyStep({ step, onChange }: { step: AnswerStep; onChange: (step: Step) => void }) {
  const templates = useTemplates();
  const { oncePerDays } = step;
  const days = oncePerDays === undefined ? {} : { oncePerDays };
  const options = (templates.data?.templates ?? []).map((t) => ({ value: t.id, text: t.written.name }));
  const known = step.template === undefined || options.some((o) => o.value === step.template);
  return (
    <div className="mt-1.5 grid gap-1.5">
      <p className="text-sm text-ink2">
        answers with{' '}
        <Choice
          label="the answer"
          value={step.template ?? WRITTEN_HERE}
          options={[{ value: WRITTEN_HERE, text: 'a text written here' }, ...options]}
          onChoose={(chosen) =>
            onChange(
              chosen === WRITTEN_HERE
                ? { do: 'reply', subject: '', text: '', ...days }
                : { do: 'reply', template: chosen, ...days },
            )
          }
        />
        {step.template !== undefined && (
          <Link className="ml-2 font-semibold text-moss hover:underline" to="/templates">
            look at it
          </Link>
        )}
      </p>
      {!known && templates.data && (
        <p className="text-sm text-clay">This template is gone: answers are held until another is chosen.</p>
      )}
      {step.template === undefined && (
        <>
          <TextField
            label="Subject; left empty, “Auto: ” and theirs"
            value={step.subject ?? ''}
            onChange={(e) => onChange({ ...step, subject: e.target.value })}
          />
          <TextArea
            label="Text"
            rows={5}
            value={step.text ?? ''}
            onChange={(e) => onChange({ ...step, text: e.target.value })}
          />
        </>
      )}
      <p className="text-sm text-ink2">
        Goes to the return path, once per writer in {step.oncePerDays ?? 7} days; never to lists, automatic or
        mass mail, and never twice to one message.
      </p>
    </div>
  );
}
