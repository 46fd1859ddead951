import type { Schemas } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/Choice';
import { TextField } from '../../../ui/Field';
import { useRuleBook } from '../../rules';
import { useTemplateNames } from '../../templates';

export type Want = Schemas['WantedView'];

const FATES: { value: Want['fate']; text: string }[] = [
  { value: 'PICKED_BY', text: 'picked by' },
  { value: 'HANDED_ON_TO', text: 'handed on to' },
  { value: 'FILED_IN', text: 'filed in' },
  { value: 'REPLIED_WITH', text: 'replied to with' },
  { value: 'IN_INBOX', text: 'in the inbox' },
];
const MUST = [
  { value: 'must', text: 'must be' },
  { value: 'must not', text: 'must not be' },
];

interface Props {
  wanted: Want[];
  onChange: (wanted: Want[]) => void;
}

/** What must and must not become of the message, line by line. */
export function Wanted({ wanted, onChange }: Props) {
  const set = (at: number, change: Partial<Want>) =>
    onChange(wanted.map((one, i) => (i === at ? { ...one, ...change } : one)));
  return (
    <fieldset className="grid gap-1.5">
      <legend className="mb-1 font-bold">What must happen</legend>
      {wanted.map((one, i) => (
        <div key={i} className="flex flex-wrap items-center gap-1.5">
          <Choice
            label="must or must not"
            value={one.must ? 'must' : 'must not'}
            options={MUST}
            onChoose={(chosen) => set(i, { must: chosen === 'must' })}
          />
          <Choice
            label="what"
            value={one.fate}
            options={FATES}
            onChoose={(fate) => set(i, { fate, of: '' })}
          />
          <Of want={one} onChange={(of) => set(i, { of })} />
          <Button
            small
            look="quiet"
            aria-label="Leave this line out"
            onClick={() => onChange(wanted.filter((_, at) => at !== i))}
          >
            ×
          </Button>
        </div>
      ))}
      <div>
        <Button
          small
          look="quiet"
          onClick={() => onChange([...wanted, { fate: 'IN_INBOX', of: '', must: true }])}
        >
          Add a line
        </Button>
      </div>
    </fieldset>
  );
}

function Of({ want, onChange }: { want: Want; onChange: (of: string) => void }) {
  const rules = useRuleBook().data?.document.rules ?? [];
  const templates = useTemplateNames();
  if (want.fate === 'IN_INBOX') {
    return null;
  }
  if (want.fate === 'PICKED_BY') {
    const known = rules.map((rule) => ({ value: rule.id, text: rule.name }));
    const gone = known.some((one) => one.value === want.of) ? [] : [{ value: want.of, text: 'a rule …' }];
    return <Choice label="which rule" value={want.of} options={[...gone, ...known]} onChoose={onChange} />;
  }
  if (want.fate === 'REPLIED_WITH') {
    const known = [...templates].map(([value, text]) => ({ value, text }));
    return (
      <Choice
        label="which template"
        value={want.of}
        options={[{ value: '', text: 'any reply' }, ...known]}
        onChoose={onChange}
      />
    );
  }
  return (
    <TextField
      label={want.fate === 'FILED_IN' ? 'which folder' : 'which address'}
      hideLabel
      className="w-56"
      value={want.of}
      onChange={(e) => onChange(e.target.value)}
    />
  );
}
