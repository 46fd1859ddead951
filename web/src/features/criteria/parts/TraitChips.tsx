import { Link } from 'react-router';
import { useAddressBook } from '../../addressbook';
import { SENDERS, STANDINGS, type TraitCriterion } from '../model';

const WORDS: Record<string, string> = {
  'written to me': 'written to me',
  'to me alone': 'written to me alone',
  conversation: 'answers something you sent',
  known: 'from somebody in the address book',
  person: 'a person',
  'automatic reply': 'an automatic reply',
  'automatic notice': 'an automatic notice',
  list: 'a mailing list',
  bulk: 'bulk mail',
  bounce: 'a bounce or receipt',
  calendar: 'a calendar',
};

/** The choices of a criterion that has a fixed set of them; at least one stays chosen. */
export function TraitChips({
  test,
  onChange,
}: {
  test: TraitCriterion;
  onChange: (test: TraitCriterion) => void;
}) {
  const book = useAddressBook();
  const groups = (book.data?.groups ?? []).map((group) => group.written.name);
  const all =
    test.part === 'relationship'
      ? STANDINGS
      : test.part === 'group'
        ? [...new Set([...groups, ...test.values])]
        : SENDERS;
  const toggle = (value: string) => {
    const values = test.values.includes(value)
      ? test.values.filter((v) => v !== value)
      : [...test.values, value];
    if (values.length > 0 || test.part === 'group') {
      onChange({ ...test, values });
    }
  };
  if (all.length === 0) {
    return (
      <p className="mt-[7px] text-sm text-ink2">
        There are no groups yet:{' '}
        <Link className="font-semibold text-moss hover:underline" to="/address-book">
          add one in the address book
        </Link>
        .
      </p>
    );
  }
  return (
    <div className="mt-[7px] flex flex-wrap gap-1.5">
      {all.map((value) => (
        <button
          key={value}
          type="button"
          aria-pressed={test.values.includes(value)}
          className={`h-[26px] rounded px-2 ${test.values.includes(value) ? 'bg-moss-soft font-semibold' : 'bg-ground text-ink2'}`}
          onClick={() => toggle(value)}
        >
          {WORDS[value] ?? value}
        </button>
      ))}
    </div>
  );
}
