import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { problemText } from '../../../api/problem';
import { Button } from '../../../ui/Button';
import { TextField } from '../../../ui/Field';
import { Menu } from '../../../ui/Menu';
import { Trouble } from '../../../ui/States';
import { useToday } from '../../mailbox';
import type { Rule } from '../../rules';
import { daysBack, daysBefore, MOST_DAYS } from '../model';
import { useBeginCatchUp, useReceivedFolders } from '../queries';

const USUAL_DAYS = 30;

/** Chooses rules, folders and how far back; then it is looked over. */
export function NewCatchUp({ rules }: { rules: Rule[] }) {
  const [search, setSearch] = useSearchParams();
  const today = useToday();
  const folders = useReceivedFolders().data ?? [];
  const begin = useBeginCatchUp();
  const named = rules.filter((rule) => rule.id === search.get('rule')).map((rule) => rule.id);
  const [chosen, setChosen] = useState(named);
  const [within, setWithin] = useState(['INBOX']);
  const [inside, setInside] = useState(false);
  const [since, setSince] = useState<string>();
  const from = since ?? daysBefore(today, USUAL_DAYS - 1);
  const days = daysBack(from, today);
  const start = () =>
    begin.mutate(
      { rules: chosen, folders: within, subfolders: inside, days },
      { onSuccess: (made) => setSearch({ open: made.id }, { replace: true }) },
    );
  return (
    <form
      aria-label="A new catch-up"
      className="rounded-md border border-line bg-sheet px-3 py-2.5"
      onSubmit={(e) => {
        e.preventDefault();
        start();
      }}
    >
      <div className="grid items-start gap-x-6 gap-y-2 columns:grid-cols-2">
        <Chosen
          label="Rules"
          add="Add a rule"
          values={chosen.map((id) => ({ key: id, text: rules.find((rule) => rule.id === id)?.name ?? id }))}
          others={rules
            .filter((rule) => !chosen.includes(rule.id))
            .map((rule) => ({ key: rule.id, text: rule.name }))}
          onChange={setChosen}
          none="Switch a rule on first: only rules that are on catch up."
        />
        <Chosen
          label="Folders"
          add="Add a folder"
          values={within.map((name) => ({ key: name, text: name }))}
          others={folders.filter((name) => !within.includes(name)).map((name) => ({ key: name, text: name }))}
          onChange={setWithin}
          none="There is no other folder with received mail."
        />
      </div>
      <div className="mt-2 flex flex-wrap items-end gap-x-5 gap-y-2">
        <TextField
          label="mail since"
          type="date"
          value={from}
          max={today}
          min={daysBefore(today, MOST_DAYS - 1)}
          onChange={(e) => setSince(e.target.value)}
        />
        <label className="flex h-8 items-center gap-1.5">
          <input
            type="checkbox"
            className="accent-moss"
            checked={inside}
            onChange={(e) => setInside(e.target.checked)}
          />
          folders inside them, too
        </label>
        <Button
          look="go"
          type="submit"
          disabled={chosen.length === 0 || within.length === 0 || days < 1 || begin.isPending}
        >
          Look it over
        </Button>
        {chosen.length === 0 && <span className="pb-1 text-sm text-ink2">Choose a rule.</span>}
      </div>
      {begin.isError && (
        <div className="mt-2">
          <Trouble text={problemText(begin.error)} />
        </div>
      )}
    </form>
  );
}

interface ChosenProps {
  label: string;
  add: string;
  values: { key: string; text: string }[];
  others: { key: string; text: string }[];
  onChange: (keys: string[]) => void;
  none: string;
}

/** What is chosen, each with a button to leave it out, and a menu of what else there is. */
function Chosen({ label, add, values, others, onChange, none }: ChosenProps) {
  const keys = values.map((value) => value.key);
  return (
    <div role="group" aria-label={label}>
      <span className="mb-0.5 block text-sm text-ink2">{label}</span>
      <div className="flex flex-wrap items-center gap-1.5">
        {values.map((value) => (
          <span key={value.key} className="flex max-w-full items-center rounded bg-ground pl-2">
            <span className="truncate">{value.text}</span>
            <Button
              small
              look="quiet"
              aria-label={`Leave out ${value.text}`}
              onClick={() => onChange(keys.filter((key) => key !== value.key))}
            >
              ×
            </Button>
          </span>
        ))}
        {others.length > 0 ? (
          <Menu
            trigger={
              <Button small look="quiet">
                {add} …
              </Button>
            }
            items={others.map((other) => ({
              text: other.text,
              onSelect: () => onChange([...keys, other.key]),
            }))}
          />
        ) : (
          values.length === 0 && <span className="text-sm text-ink2">{none}</span>
        )}
      </div>
    </div>
  );
}
