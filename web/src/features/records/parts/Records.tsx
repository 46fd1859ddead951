import { useNavigate, useSearchParams } from 'react-router';
import { Button } from '../../../ui/Button';
import type { State } from '../queries';
import { Listed } from './Listed';
import { ToBeSeen } from './ToBeSeen';
import { Waiting } from './waiting/Waiting';

const VIEWS: { key: string; text: string; states: State[] }[] = [
  { key: 'all', text: 'All', states: [] },
  { key: 'waiting', text: 'Waiting', states: [] },
  { key: 'done', text: 'Done', states: ['SENT'] },
  { key: 'needs', text: 'Needs you', states: ['HELD', 'FAILED', 'UNCERTAIN'] },
  { key: 'unanswered', text: 'Not answered', states: [] },
  { key: 'brought-back', text: 'Brought back', states: [] },
  { key: 'back', text: 'Held or withheld', states: ['WITHHELD', 'DISCARDED'] },
  { key: 'undone', text: 'Undone', states: ['UNDONE'] },
];

const SAID: Record<string, string> = {
  waiting: 'what is to leave, the longest waiting first',
  unanswered: 'what left the inbox without its reply, newest first',
  'brought-back': 'what nobody dealt with, newest first',
};

/** Everything that was done, waits or was kept back, by what one wants to see of it. */
export function Records() {
  const [search, setSearch] = useSearchParams();
  const navigate = useNavigate();
  const view = VIEWS.find((one) => one.key === search.get('view')) ?? VIEWS[0];
  const key = view?.key ?? 'all';
  const show = (next: string) => {
    const changed = new URLSearchParams(search);
    changed.set('view', next);
    setSearch(changed);
  };
  return (
    <section data-region aria-label="Records" className="flex h-full min-h-0 flex-col">
      <div className="flex flex-wrap items-center gap-3 px-4 pt-3.5 pb-2.5">
        <h1 className="text-lg font-bold">Records</h1>
        <div
          role="group"
          aria-label="Which records"
          className="flex max-w-full flex-wrap overflow-hidden rounded border border-line2 bg-sheet"
        >
          {VIEWS.map((one) => (
            <button
              key={one.key}
              type="button"
              aria-pressed={one === view}
              className={`px-3 py-1 text-sm ${one === view ? 'bg-ink font-semibold text-sheet' : ''}`}
              onClick={() => show(one.key)}
            >
              {one.text}
            </button>
          ))}
        </div>
        {SAID[key] && <span className="text-sm text-ink2">{SAID[key]}</span>}
        <span className="grow" />
        <Button small onClick={() => void navigate('/records/catch-ups')}>
          Catch up …
        </Button>
      </div>
      {key === 'waiting' ? (
        <Waiting />
      ) : key === 'unanswered' || key === 'brought-back' ? (
        <ToBeSeen of={key} />
      ) : (
        <Listed states={view?.states ?? []} />
      )}
    </section>
  );
}
