import { useState } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { count } from '../../../lib/numbers';
import { useMailbox } from '../../mailbox';
import { useExamples } from '../examples';
import { ExamplesBar } from './ExamplesBar';
import { RecurringList } from './RecurringList';
import { KindSheet } from './KindSheet';
import { MessageSheet } from './MessageSheet';
import { MessagesTable } from './MessagesTable';
import { SuggestedCriteria } from './SuggestedCriteria';

const VIEWS = [
  { view: 'kinds', name: 'Recurring mail', about: 'grouped by sender and subject' },
  { view: 'messages', name: 'Messages', about: 'every message' },
] as const;

export function Incoming() {
  const mailbox = useMailbox();
  const navigate = useNavigate();
  const { message } = useParams();
  const [search, setSearch] = useSearchParams();
  const { examples } = useExamples();
  const [proposing, setProposing] = useState(false);
  const view = search.get('view') === 'messages' ? 'messages' : 'kinds';
  const reading = mailbox.data?.firstReading;
  const open = (id: number) => void navigate({ pathname: `/incoming/${id}`, search: search.toString() });
  return (
    <section data-region aria-label="Incoming" className="flex h-full min-h-0 flex-col">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1 px-4 pt-3.5 pb-2.5" role="tablist">
        {VIEWS.map(({ view: one, name, about }) => (
          <button
            key={one}
            type="button"
            role="tab"
            aria-selected={view === one}
            className={view === one ? 'text-lg font-bold' : 'text-lg text-moss hover:underline'}
            onClick={() => setSearch(one === 'kinds' ? {} : { view: one })}
          >
            {name}
            {view === one && <span className="ml-2 text-sm font-normal text-ink2">{about}</span>}
          </button>
        ))}
      </div>
      {reading && !reading.finished && (
        <div className="px-4 pb-2">
          <progress className="h-2 w-64 accent-moss" value={reading.done} max={Math.max(1, reading.total)} />
          <span className="ml-2 text-sm text-ink2">
            reading past mail: {count(reading.done)} of {count(reading.total)}; rules do not act on it
          </span>
        </div>
      )}
      {view === 'kinds' ? (
        <RecurringList onOpen={open} onKind={(kind) => setSearch({ kind })} />
      ) : (
        <MessagesTable key={search.get('sender')} sender={search.get('sender')} onOpen={open} />
      )}
      <ExamplesBar onPropose={() => setProposing(true)} />
      <SuggestedCriteria {...examples} open={proposing} onClose={() => setProposing(false)} />
      <KindSheet
        kind={message === undefined ? search.get('kind') : null}
        onOpen={open}
        onClose={() => setSearch({})}
      />
      <MessageSheet
        id={message === undefined ? undefined : Number(message)}
        onClose={() => void navigate({ pathname: '/incoming', search: search.toString() })}
      />
    </section>
  );
}
