import { useSearchParams } from 'react-router';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/Choice';
import { TextField } from '../../../ui/Field';
import { useRuleBook } from '../../rules';
import { ACTIONS, asked, FIELDS } from '../filter';

const ANY = '';
/** As high as the fields beside it. */
const FIELD = 'h-8 max-w-[200px] truncate border border-line2 bg-sheet';

/** Asks for records by anything that is known of them; all of it has to hold. */
export function FilterBar() {
  const [search, setSearch] = useSearchParams();
  const rules = useRuleBook().data?.document.rules ?? [];
  const set = (field: string, value: string) => setSearch(asked(search, field, value), { replace: true });
  const value = (field: string) => search.get(field) ?? '';
  const any = FIELDS.some((field) => search.has(field));
  const text = (field: string, label: string) => (
    <TextField
      label={label}
      className="w-[132px]"
      value={value(field)}
      onChange={(e) => set(field, e.target.value)}
    />
  );
  const day = (field: string, label: string) => (
    <TextField label={label} type="date" value={value(field)} onChange={(e) => set(field, e.target.value)} />
  );
  return (
    <div
      role="search"
      aria-label="Records"
      className="flex flex-wrap items-end gap-x-3 gap-y-1.5 px-4 pb-2.5"
    >
      <span className="flex h-8 items-center gap-3">
        <Choice
          label="rule"
          className={FIELD}
          value={value('rule')}
          options={[
            { value: ANY, text: 'any rule' },
            ...rules.map((rule) => ({ value: rule.id, text: rule.name })),
            ...(value('rule') && !rules.some((rule) => rule.id === value('rule'))
              ? [{ value: value('rule'), text: 'a rule that was removed' }]
              : []),
          ]}
          onChoose={(chosen) => set('rule', chosen)}
        />
        <Choice
          label="action"
          className={FIELD}
          value={value('action')}
          options={[{ value: ANY, text: 'any action' }, ...ACTIONS]}
          onChoose={(chosen) => set('action', chosen)}
        />
      </span>
      {text('sender', 'from whom')}
      {text('recipient', 'sent on to')}
      {text('words', 'words in the subject')}
      {day('since', 'since')}
      {day('until', 'until')}
      {any && (
        <Button
          look="quiet"
          onClick={() => {
            const view = search.get('view');
            setSearch(view === null ? {} : { view }, { replace: true });
          }}
        >
          Clear
        </Button>
      )}
    </div>
  );
}
