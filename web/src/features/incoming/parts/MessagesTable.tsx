import { useVirtualizer } from '@tanstack/react-virtual';
import { useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import type { Schemas } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { count, counted } from '../../../lib/numbers';
import { Button } from '../../../ui/Button';
import { TextField } from '../../../ui/Field';
import { Empty, Trouble } from '../../../ui/States';
import { COLUMNS_FIT, useMatches } from '../../../ui/useMatches';
import { item, meant, type Criterion, type Item } from '../../criteria';
import { useBeginRule } from '../../drafts';
import { LookingThrough, useEvidenceDays } from '../../mailbox';
import { PAGE, useMessagePages, type Search } from '../queries';
import { CriteriaChips } from './CriteriaChips';
import { SoughtByChoice, type SoughtBy } from './SoughtByChoice';
import { COLUMNS, MessageRow, SIDE } from './MessageRow';

const ROW = 34;
const ROW_OF_TWO_LINES = 52;

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
  const [by, setBy] = useState<SoughtBy>({});
  const search = useMemo(
    () => ({
      ...by,
      words: typed.trim(),
      criteria: asked.map(meant).filter((criterion): criterion is Criterion => criterion !== undefined),
    }),
    [typed, asked, by],
  );
  const days = useEvidenceDays();
  const scroller = useRef<HTMLDivElement>(null);
  const [pages, setPages] = useState([0]);
  const results = useMessagePages(search, pages);
  const first = results.find((r) => r.data)?.data;
  const found = first?.found ?? 0;
  const blank = search.words === '' && search.criteria.length === 0;
  const all = blank && Object.keys(by).length === 0;

  const begin = useBeginRule();
  const navigate = useNavigate();
  const start = () =>
    void begin({ all: sought(search) }, undefined).then((rule) => navigate(`/rules/${rule}`));

  const height = useMatches(COLUMNS_FIT) ? ROW : ROW_OF_TWO_LINES;
  // The virtualizer's functions can't be memoized; this component does not rely on that.
  // eslint-disable-next-line react-hooks/incompatible-library
  const rows = useVirtualizer({
    count: found,
    getScrollElement: () => scroller.current,
    estimateSize: () => height,
    overscan: 12,
    onChange: (instance) => {
      const range = instance.range;
      if (range) {
        const wanted = pagesOf(range.startIndex, range.endIndex);
        setPages((now) => (now.join() === wanted.join() ? now : wanted));
      }
    },
  });
  useEffect(() => rows.measure(), [rows, height]);
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
        {!blank && (
          <Button small onClick={start}>
            Start a rule from this search
          </Button>
        )}
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
      <div className="flex items-center pb-1 text-[12.5px] text-ink2">
        <div className={`${COLUMNS} min-w-0 grow`}>
          <SoughtByChoice by={by} onChoose={setBy} />
          <span className="max-columns:hidden">when</span>
          <span className="max-columns:hidden">sender</span>
          <span className="max-columns:hidden">subject</span>
        </div>
        <span className={`${SIDE} max-columns:hidden`}>example?</span>
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
              : `No message in the last ${days} days meets this. Remove a word or a criterion, or choose another “what happened”.`}
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
                style={{ height, transform: `translateY(${row.start}px)` }}
              >
                {shown && <MessageRow line={shown} onOpen={() => onOpen(shown.message.id)} />}
              </div>
            );
          })}
        </div>
      </div>
    </>
  );
}

/** What is looked for, as criteria. */
function sought({ words, criteria }: Search): Criterion[] {
  return words === ''
    ? criteria
    : [{ part: 'subject or text', how: 'contains', values: [words] } as Criterion, ...criteria];
}

function from(sender: string | null): Item[] {
  const how = sender?.includes('@') ? 'is' : 'at domain or below';
  return sender === null ? [] : [item({ part: 'sender', how, values: [sender] })];
}

function pagesOf(from: number, to: number): number[] {
  const pages = [];
  for (let page = Math.floor(from / PAGE); page <= Math.floor(to / PAGE); page++) {
    pages.push(page);
  }
  return pages;
}
