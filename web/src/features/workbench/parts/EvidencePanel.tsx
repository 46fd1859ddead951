import { useState } from 'react';
import { problemText } from '../../../api/problem';
import type { Schemas } from '../../../api/client';
import { shortDate } from '../../../lib/dates';
import { count } from '../../../lib/numbers';
import { Bars } from '../../../ui/Bars';
import { Glyph } from '../../../ui/glyphs';
import { MarkedText } from '../../../ui/MarkedText';
import { Empty, Loading, Trouble } from '../../../ui/States';
import { MessageSheet } from '../../incoming';
import type { Counter, Evidence } from '../queries';

const COUNTERS: { counter: Counter; text: string; key: keyof Evidence['counts'] }[] = [
  { counter: 'PICKED', text: 'Picked', key: 'picked' },
  { counter: 'LEFT_OUT', text: 'Left out', key: 'leftOut' },
  { counter: 'TAKEN_EARLIER', text: 'Taken earlier', key: 'takenEarlier' },
  { counter: 'ALSO_LATER', text: 'Also later', key: 'alsoLater' },
  { counter: 'NEAR_MISS', text: 'Near miss', key: 'nearMiss' },
];

interface Props {
  evidence: Evidence | undefined;
  asked: boolean;
  error: unknown;
  counter: Counter;
  example: number | undefined;
  onCounter: (counter: Counter) => void;
  onRetry: () => void;
}

export function EvidencePanel({ evidence, asked, error, counter, example, onCounter, onRetry }: Props) {
  const [open, setOpen] = useState<number>();
  return (
    <section data-region aria-label="The evidence" className="flex h-full min-h-0 min-w-0 flex-col">
      <div className="flex min-h-11 flex-wrap items-center gap-1 border-b border-line bg-sheet px-3 py-1">
        <div role="group" aria-label="How past mail stands to the rule" className="flex flex-wrap gap-1">
          {COUNTERS.map(({ counter: one, text, key }) => (
            <button
              key={one}
              type="button"
              aria-pressed={one === counter}
              className={`rounded px-2 py-1 text-sm whitespace-nowrap ${one === counter ? 'bg-ink text-sheet' : 'text-ink2'}`}
              onClick={() => onCounter(one)}
            >
              {text}
              <b
                className={`figures ml-1 text-[15px] ${one === counter ? '' : 'text-ink'}`}
                data-counter={one}
              >
                {asked && evidence ? count(evidence.counts[key]) : '–'}
              </b>
            </button>
          ))}
        </div>
        <span className="ml-auto">
          {asked && evidence && (
            <Bars
              values={evidence.weeks}
              label={`Picked by week, oldest first: ${evidence.weeks.join(', ')}`}
            />
          )}
        </span>
      </div>
      <div className="min-h-0 grow overflow-auto">
        {error !== null && error !== undefined && (
          <div className="p-3">
            <Trouble text={problemText(error)} onRetry={onRetry} />
          </div>
        )}
        {!asked && (
          <Empty>
            <p>Here stands the mail this rule would take, as you type.</p>
            <p className="mt-2">Begin on the left: a domain, an address, or a phrase from a subject.</p>
          </Empty>
        )}
        {asked && !evidence && !error && <Loading what="Looking through past mail" />}
        {asked && evidence && evidence.rows.length === 0 && <Empty>{emptyText(counter)}</Empty>}
        {asked && evidence && (
          <ul>
            {evidence.rows.map((row) => (
              <li key={row.id}>
                <EvidenceRow row={row} isExample={row.id === example} onOpen={() => setOpen(row.id)} />
              </li>
            ))}
          </ul>
        )}
        {asked && evidence && evidence.rowsInAll > evidence.rows.length && (
          <p className="px-3 py-2 text-sm text-ink2">
            The newest {evidence.rows.length} of {count(evidence.rowsInAll)}.
          </p>
        )}
      </div>
      <MessageSheet id={open} onClose={() => setOpen(undefined)} />
    </section>
  );
}

function EvidenceRow({
  row,
  isExample,
  onOpen,
}: {
  row: Schemas['EvidenceRow'];
  isExample: boolean;
  onOpen: () => void;
}) {
  return (
    <button
      type="button"
      onClick={onOpen}
      className="grid h-[34px] w-full grid-cols-[56px_minmax(90px,138px)_minmax(0,1fr)_minmax(120px,230px)] items-center gap-2.5 border-b border-line bg-sheet px-3 text-left text-[13.5px] hover:bg-ground"
    >
      <span className="figures text-sm text-ink2">
        {isExample ? <b className="text-moss">example</b> : shortDate(row.received)}
      </span>
      <span className="truncate">
        <MarkedText {...row.sender} />
      </span>
      <span className="truncate">
        <MarkedText {...row.subject} />
        {row.snippet && (
          <span className="ml-2 text-ink2">
            … <MarkedText {...row.snippet} />
          </span>
        )}
      </span>
      <span className="flex min-w-0 items-center gap-1.5 text-[12.5px] text-ink2">
        {[...new Set(row.fate.map((f) => f.kind))].map((kind) => (
          <Glyph key={kind} of={kind} />
        ))}
        <span className="truncate">{fateInWords(row.fate)}</span>
      </span>
    </button>
  );
}

/** "redirected, read, in Seeds (Seed exchange list)"; the rule in hand is not named. */
function fateInWords(fate: Schemas['Fate'][]): string {
  const short = fate.map((f) => {
    const words = f.words
      .replace(/ to \S+@.*$/, '')
      .replace(/^marked /, '')
      .replace(/^filed in /, 'in ');
    return f.own ? words : `${words} (${f.rule})`;
  });
  return short.length === 0 ? 'stays in the inbox' : short.join(', ');
}

function emptyText(counter: Counter): string {
  switch (counter) {
    case 'PICKED':
      return 'No past message is picked. Look at the near misses, or change a value on the left.';
    case 'LEFT_OUT':
      return 'No exception spares anything.';
    case 'TAKEN_EARLIER':
      return 'No earlier rule takes any of this mail away.';
    case 'ALSO_LATER':
      return 'No later rule acts on the same mail.';
    case 'NEAR_MISS':
      return 'Nothing misses by one criterion only.';
  }
}
