import { useVirtualizer } from '@tanstack/react-virtual';
import { useDeferredValue, useMemo, useRef, useState } from 'react';
import type { Schemas } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { shortDate } from '../../../lib/dates';
import { count, counted } from '../../../lib/numbers';
import { TextField } from '../../../ui/Field';
import { Glyph } from '../../../ui/glyphs';
import { Empty, Trouble } from '../../../ui/States';
import { item, meant, type Criterion, type Item } from '../../criteria';
import { LookingThrough, useEvidenceDays } from '../../mailbox';
import { happened } from '../model';
import { PAGE, useMessagePages } from '../queries';
import { CriteriaChips } from './CriteriaChips';
import { Verdicts } from './Verdicts';

const ROW = 34;
const COLUMNS =
  'grid grid-cols-[minmax(120px,190px)_60px_minmax(100px,170px)_minmax(0,1fr)] gap-3 items-center pl-4';

interface Props {
  onOpen: (message: number) => void;
  /** Whose mail is looked for to begin with. */
  sender: string | null;
}

/** Past mail as a table; what is typed and the criteria beside it pick out what is shown. */
export function MessagesTable({ onOpen, sender }: Props) {
  const [words, setWords] = useState('');
  const [items, setItems] = useState(() => from(sender));
  const typed = useDeferredValue(words);
  const asked = useDeferredValue(items);
  const search = useMemo(
    () => ({
      words: typed.trim(),
      criteria: asked.map(meant).filter((criterion): criterion is Criterion => criterion !== undefined),
    }),
    [typed, asked],
  );
  const days = useEvidenceDays();
  const scroller = useRef<HTMLDivElement>(null);
  const [pages, setPages] = useState([0]);
  const results = useMessagePages(search, pages);
  const first = results.find((r) => r.data)?.data;
  const found = first?.found ?? 0;
  const all = search.words === '' && search.criteria.length === 0;

  // The virtualizer's functions can't be memoized; this component does not rely on that.
  // eslint-disable-next-line react-hooks/incompatible-library
  const rows = useVirtualizer({
    count: found,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 12,
    onChange: (instance) => {
      const range = instance.range;
      if (range) {
        const wanted = pagesOf(range.startIndex, range.endIndex);
        setPages((now) => (now.join() === wanted.join() ? now : wanted));
      }
    },
  });
  const line = (index: number): Schemas['IncomingLine'] | undefined => {
    const at = pages.indexOf(Math.floor(index / PAGE));
    return at < 0 ? undefined : results[at]?.data?.lines[index % PAGE];
  };
  const failed = results.find((r) => r.isError);

  return (
    <>
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1 px-4 pb-2">
        <TextField
          label="Words in subject or text"
          hideLabel
          placeholder="words in subject or text …"
          className="w-64 max-w-full"
          value={words}
          onChange={(e) => setWords(e.target.value)}
        />
        <CriteriaChips items={items} onChange={setItems} />
        <span className="grow" />
        <span className="figures text-sm text-ink2" aria-live="polite">
          {first &&
            (all
              ? `${counted(first.messages, 'message')} in the last ${days} days`
              : `${count(found)} of ${counted(first.messages, 'message')} in the last ${days} days`)}
        </span>
      </div>
      {failed && (
        <div className="px-4 pb-2">
          <Trouble
            text={problemText(failed.error)}
            onRetry={() => results.forEach((r) => void r.refetch())}
          />
        </div>
      )}
      <div className="flex pb-1 text-[12.5px] text-ink2">
        <div className={`${COLUMNS} min-w-0 grow`}>
          <span>what happened</span>
          <span>when</span>
          <span>sender</span>
          <span>subject</span>
        </div>
        <span className="w-[196px] shrink-0 pl-3">example?</span>
      </div>
      <div
        ref={scroller}
        className="min-h-0 grow overflow-auto border-t border-line bg-sheet"
        role="list"
        aria-label="Messages"
        aria-busy={
          typed !== words || asked !== items || results.some((r) => r.isPlaceholderData || r.isPending)
        }
      >
        {!first && !failed && <LookingThrough />}
        {first && found === 0 && (
          <Empty>
            {all
              ? 'No messages in this period. New mail appears here by itself.'
              : `No message in the last ${days} days meets this. Remove a word or a criterion.`}
          </Empty>
        )}
        <div className="relative" style={{ height: rows.getTotalSize() }}>
          {rows.getVirtualItems().map((row) => {
            const shown = line(row.index);
            return (
              <div
                key={row.key}
                role="listitem"
                className="absolute inset-x-0 top-0 flex border-b border-line"
                style={{ height: ROW, transform: `translateY(${row.start}px)` }}
              >
                {shown && <Row line={shown} onOpen={() => onOpen(shown.message.id)} />}
                {shown && (
                  <span className="flex w-[196px] shrink-0 items-center pl-3">
                    <Verdicts id={shown.message.id} subject={shown.message.subject} />
                  </span>
                )}
              </div>
            );
          })}
        </div>
      </div>
    </>
  );
}

function from(sender: string | null): Item[] {
  const how = sender?.includes('@') ? 'is' : 'at domain or below';
  return sender === null ? [] : [item({ part: 'sender', how, values: [sender] })];
}

function Row({ line, onOpen }: { line: Schemas['IncomingLine']; onOpen: () => void }) {
  const { message, steps } = line;
  const what = happened(message.status, steps);
  return (
    <button
      type="button"
      onClick={onOpen}
      className={`${COLUMNS} h-full min-w-0 grow text-left hover:bg-ground`}
    >
      <span className="flex min-w-0 items-center gap-1.5 text-[12.5px] text-ink2">
        {what.kinds.map((kind) => (
          <Glyph key={kind} of={kind} />
        ))}
        <span className="truncate">{what.words}</span>
      </span>
      <span className="figures text-sm text-ink2">{shortDate(message.received)}</span>
      <span className="truncate">
        <bdi>{message.sender}</bdi>
      </span>
      <span className="truncate">
        <bdi>{message.subject || <i className="text-ink2">(no subject)</i>}</bdi>
        {message.notes.length > 0 && <span className="ml-2 text-sm text-clay">read only in part</span>}
      </span>
    </button>
  );
}

function pagesOf(from: number, to: number): number[] {
  const pages = [];
  for (let page = Math.floor(from / PAGE); page <= Math.floor(to / PAGE); page++) {
    pages.push(page);
  }
  return pages;
}
