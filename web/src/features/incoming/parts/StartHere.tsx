import { useEvidenceDays } from '../../mailbox';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Schemas } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { count, counted } from '../../../lib/numbers';
import { Button } from '../../../ui/Button';
import { Loading, Trouble } from '../../../ui/States';
import { useBeginRule } from '../../drafts';
import { useStart } from '../queries';

/** From one message to a rule: the pair that is kept, what else is true of it, and rules that nearly take it. */
export function StartHere({ id }: { id: number }) {
  const start = useStart(id);
  const begin = useBeginRule();
  const navigate = useNavigate();
  const [unused, setUnused] = useState<Set<string>>(new Set());
  const [added, setAdded] = useState<Set<string>>(new Set());
  if (start.isPending) {
    return <Loading what="Reading the message" />;
  }
  if (start.isError) {
    return <Trouble text={problemText(start.error)} onRetry={() => void start.refetch()} />;
  }
  const { kept, also, additions } = start.data;
  const chosen = [
    ...kept.filter((one) => !unused.has(one.clause.words)),
    ...also.filter((one) => added.has(one.clause.words)),
  ];
  const toggled = (set: Set<string>, words: string) => {
    const next = new Set(set);
    if (!next.delete(words)) {
      next.add(words);
    }
    return next;
  };
  const go = () =>
    void begin({ all: chosen.map((one) => one.criterion) }, id).then((rule) => navigate(`/rules/${rule}`));
  return (
    <section aria-label="Start a rule" className="rounded-md border border-line px-3 py-2.5">
      <h3 className="font-bold">Start a rule for mail like this</h3>
      <ul className="mt-1.5 grid grid-cols-1 gap-1">
        {kept.map((one) => (
          <True
            key={one.clause.words}
            one={one}
            on={!unused.has(one.clause.words)}
            onTurn={() => setUnused(toggled(unused, one.clause.words))}
          />
        ))}
        {also.length > 0 && <li className="pt-1 text-sm text-ink2">other criteria that match it:</li>}
        {also.map((one) => (
          <True
            key={one.clause.words}
            one={one}
            on={added.has(one.clause.words)}
            onTurn={() => setAdded(toggled(added, one.clause.words))}
          />
        ))}
      </ul>
      <Button small look="go" className="mt-2" disabled={chosen.length === 0} onClick={go}>
        Start a rule
      </Button>
      {additions.map((addition) => (
        <div key={addition.rule} className="mt-2 flex items-start gap-2 border-t border-line pt-2 text-sm">
          <span className="grow">
            “{addition.name}” nearly picks it. With “{addition.value}” added it picks{' '}
            {counted(addition.after, 'message')} instead of {count(addition.before)}.
          </span>
          <Button
            small
            onClick={() =>
              void navigate(`/rules/${addition.rule}?add=${id}`, { state: { changed: addition.changed } })
            }
          >
            Add it to that rule
          </Button>
        </div>
      ))}
    </section>
  );
}

function True({ one, on, onTurn }: { one: Schemas['TrueView']; on: boolean; onTurn: () => void }) {
  const days = useEvidenceDays();
  return (
    <li className="flex flex-wrap items-center gap-x-2">
      <button
        type="button"
        aria-pressed={on}
        className={`h-[26px] max-w-full truncate rounded px-2 text-left ${on ? 'bg-moss-soft font-semibold' : 'bg-ground text-ink2'}`}
        onClick={onTurn}
      >
        {one.clause.words}
      </button>
      <span className="figures text-sm whitespace-nowrap text-ink2">
        {count(one.matches)} in the last {days} days
      </span>
      <span className="text-sm text-ink2">{on ? 'used' : 'add'}</span>
    </li>
  );
}
