import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Schemas } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { count } from '../../../lib/numbers';
import { Button } from '../../../ui/Button';
import { Loading, Trouble } from '../../../ui/States';
import { useBeginRule } from '../../drafts';
import { useStart } from '../queries';

/** From one message to a rule: the pair that is kept, what else is true of it, and rules that nearly take it. */
export function StartHere({ id }: { id: number }) {
  const start = useStart(id);
  const begin = useBeginRule();
  const navigate = useNavigate();
  const [dropped, setDropped] = useState<Set<string>>(new Set());
  const [added, setAdded] = useState<Set<string>>(new Set());
  if (start.isPending) {
    return <Loading what="Looking at what is true of it" />;
  }
  if (start.isError) {
    return <Trouble text={problemText(start.error)} onRetry={() => void start.refetch()} />;
  }
  const { kept, also, additions } = start.data;
  const chosen = [
    ...kept.filter((one) => !dropped.has(one.words)),
    ...also.filter((one) => added.has(one.words)),
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
      <h3 className="font-bold">A rule for mail like this</h3>
      <ul className="mt-1.5 grid gap-1">
        {kept.map((one) => (
          <True
            key={one.words}
            one={one}
            on={!dropped.has(one.words)}
            onTurn={() => setDropped(toggled(dropped, one.words))}
          />
        ))}
        {also.length > 0 && <li className="pt-1 text-sm text-ink2">also true of it:</li>}
        {also.map((one) => (
          <True
            key={one.words}
            one={one}
            on={added.has(one.words)}
            onTurn={() => setAdded(toggled(added, one.words))}
          />
        ))}
      </ul>
      <Button small look="go" className="mt-2" disabled={chosen.length === 0} onClick={go}>
        Start a rule
      </Button>
      {additions.map((addition) => (
        <div key={addition.rule} className="mt-2 flex items-start gap-2 border-t border-line pt-2 text-sm">
          <span className="grow">
            “{addition.name}” nearly takes it. With {addition.words}: {count(addition.before)} messages of the
            window before, {count(addition.after)} after.
          </span>
          <Button
            small
            onClick={() =>
              void navigate(`/rules/${addition.rule}?add=${id}`, { state: { changed: addition.changed } })
            }
          >
            Add it there
          </Button>
        </div>
      ))}
    </section>
  );
}

function True({ one, on, onTurn }: { one: Schemas['TrueView']; on: boolean; onTurn: () => void }) {
  return (
    <li className="flex items-center gap-2">
      <button
        type="button"
        aria-pressed={on}
        className={`h-[26px] max-w-full truncate rounded px-2 text-left ${on ? 'bg-moss-soft font-semibold' : 'bg-ground text-ink2'}`}
        onClick={onTurn}
      >
        {one.words}
      </button>
      <span className="figures text-sm whitespace-nowrap text-ink2">{count(one.reach)} in the window</span>
      <span className="text-sm text-ink2">{on ? 'kept' : 'add'}</span>
    </li>
  );
}
