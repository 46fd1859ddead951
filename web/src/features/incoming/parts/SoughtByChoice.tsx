import { Choice } from '../../../ui/Choice';
import { useRuleBook } from '../../rules';
import type { Search } from '../queries';

export type SoughtBy = Pick<Search, 'happened' | 'rule'>;

const HAPPENED = [
  { value: 'ANYTHING', text: 'anything', short: 'what happened' },
  { value: 'DONE', text: 'a rule acted' },
  { value: 'WAITS', text: 'waits for a person' },
  { value: 'WITHHELD', text: 'something was withheld' },
  { value: 'NOTHING', text: 'came in, no rule picked it' },
  { value: 'PAST', text: 'came before Jubek' },
  { value: 'UNPICKED', text: 'no rule picks it today' },
] as const;

/** The head of the column that says what happened: it seeks messages by that, or by the rule that picks them today. */
export function SoughtByChoice({ by, onChoose }: { by: SoughtBy; onChoose: (by: SoughtBy) => void }) {
  const book = useRuleBook();
  const rules = (book.data?.document.rules ?? []).map((rule) => ({
    value: `rule ${rule.id}`,
    text: `today: ${rule.name}`,
  }));
  return (
    <span>
      <Choice
        label="seek by what happened"
        value={by.rule === undefined ? (by.happened ?? 'ANYTHING') : `rule ${by.rule}`}
        options={[...HAPPENED, ...rules]}
        onChoose={(chosen) => onChoose(meantBy(chosen))}
      />
    </span>
  );
}

function meantBy(chosen: string): SoughtBy {
  if (chosen.startsWith('rule ')) {
    return { rule: chosen.slice('rule '.length) };
  }
  const happened = HAPPENED.find(({ value }) => value === chosen)?.value ?? 'ANYTHING';
  return happened === 'ANYTHING' ? {} : { happened };
}
