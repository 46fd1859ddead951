import { problemText } from '../../../api/problem';
import { Choice } from '../../../ui/Choice';
import { Trouble } from '../../../ui/States';
import { useAddressBook } from '../../addressbook';
import { useSaveTemplate, useTemplates } from '../../templates';
import { SAMPLES, sampleTemplate, type Form, type Sample } from '../model';

interface Props {
  form: Form;
  /** What has changed meanwhile stays. */
  onChange: (changed: (now: Form) => Form) => void;
}

const AUDIENCES: { value: Form['audience']; text: string }[] = [
  { value: 'EVERYONE', text: 'everybody' },
  { value: 'KNOWN', text: 'people I know' },
  { value: 'INSIDE', text: 'colleagues inside' },
  { value: 'GROUPS', text: 'some groups' },
  { value: 'NOBODY', text: 'nobody' },
];

/** Who gets the answer, and its words in each language. */
export function AnswerFields({ form, onChange }: Props) {
  const templates = useTemplates().data?.templates ?? [];
  const groups = useAddressBook().data?.groups ?? [];
  const saving = useSaveTemplate();
  const named = (id: string) =>
    templates.find((one) => one.id === id)?.written.name ?? 'a template that is gone';
  const left = templates.filter(({ id }) => !form.templates.includes(id));
  const add = (id: string) => onChange((now) => ({ ...now, templates: [...now.templates, id] }));
  const write = (sample: Sample) => {
    const id = crypto.randomUUID();
    saving
      .mutateAsync({ id, baseVersion: 0, written: sampleTemplate(sample) })
      .then(() => add(id))
      .catch(() => undefined);
  };
  return (
    <fieldset className="grid grid-cols-[92px_minmax(0,1fr)] gap-x-3 gap-y-1.5">
      <legend className="sr-only">Answer</legend>
      <span className="text-ink2">answer</span>
      <div className="flex flex-wrap items-center gap-1.5">
        <Choice
          label="who gets the answer"
          value={form.audience}
          options={AUDIENCES}
          onChoose={(audience) => onChange((now) => ({ ...now, audience }))}
        />
        {form.audience !== 'NOBODY' && (
          <>
            once, with
            {form.templates.map((id, i) => (
              <span
                key={id}
                className="flex items-center gap-1 rounded bg-moss-soft px-[7px] py-0.5 font-semibold"
              >
                {named(id)}
                {i === 0 && form.templates.length > 1 && <span className="font-normal text-ink2">first</span>}
                <button
                  type="button"
                  aria-label={`without ${named(id)}`}
                  className="px-1"
                  onClick={() =>
                    onChange((now) => ({ ...now, templates: now.templates.filter((one) => one !== id) }))
                  }
                >
                  ×
                </button>
              </span>
            ))}
            <Choice<string>
              label="add an answer"
              value=""
              options={[
                { value: '', text: form.templates.length === 0 ? 'choose the answer …' : '+ language' },
                ...left.map(({ id, written }) => ({ value: id, text: written.name })),
                ...SAMPLES.map((sample) => ({
                  value: `new ${sample.language}`,
                  text: `New answer in ${sample.name}`,
                })),
              ]}
              onChoose={(chosen) => {
                const sample = SAMPLES.find(({ language }) => chosen === `new ${language}`);
                if (sample) {
                  write(sample);
                } else if (chosen !== '') {
                  add(chosen);
                }
              }}
            />
          </>
        )}
      </div>
      {form.audience === 'GROUPS' && (
        <>
          <span />
          <div className="flex flex-wrap gap-x-3">
            {groups.length === 0 && <span className="text-ink2">The address book has no groups yet.</span>}
            {groups.map(({ written: { name } }) => (
              <label key={name} className="flex items-center gap-1.5">
                <input
                  type="checkbox"
                  checked={form.groups.includes(name)}
                  onChange={(e) =>
                    onChange((now) => ({
                      ...now,
                      groups: e.target.checked
                        ? [...now.groups, name]
                        : now.groups.filter((one) => one !== name),
                    }))
                  }
                />
                {name}
              </label>
            ))}
          </div>
        </>
      )}
      <span className="text-ink2">never</span>
      <span>lists, automatic mail, what must not leave</span>
      {form.templates.length > 1 && (
        <>
          <span />
          <span className="text-sm text-ink2">
            In the language of the message; the first one where none of them fits.
          </span>
        </>
      )}
      {saving.isError && <Trouble text={problemText(saving.error)} />}
    </fieldset>
  );
}
