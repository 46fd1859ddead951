import { useVirtualizer } from '@tanstack/react-virtual';
import { useDeferredValue, useRef, useState } from 'react';
import { useParams, useNavigate } from 'react-router';
import type { Schemas } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { shortDate } from '../../../lib/dates';
import { count, counted } from '../../../lib/numbers';
import { TextField } from '../../../ui/Field';
import { Glyph } from '../../../ui/glyphs';
import { Empty, Loading, Trouble } from '../../../ui/States';
import { useEvidenceDays, useMailbox } from '../../mailbox';
import { happened } from '../model';
import { PAGE, useMessagePages } from '../queries';
import { MessageSheet } from './MessageSheet';

const ROW = 34;
const COLUMNS =
  'grid grid-cols-[minmax(150px,220px)_64px_minmax(110px,190px)_minmax(0,1fr)] gap-3 items-center px-4';

export function Incoming() {
  const [words, setWords] = useState('');
  const asked = useDeferredValue(words);
  const days = useEvidenceDays();
  const mailbox = useMailbox();
  const navigate = useNavigate();
  const { message } = useParams();
  const scroller = useRef<HTMLDivElement>(null);
  const [pages, setPages] = useState([0]);
  const results = useMessagePages(asked, pages);
  const first = results.find((r) => r.data)?.data;
  const found = first?.found ?? 0;

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
  const reading = mailbox.data?.firstReading;

  return (
    <section data-region aria-label="Incoming" className="flex h-full min-h-0 flex-col">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1 px-4 pt-3.5 pb-2.5">
        <h1 className="text-lg font-bold">Messages</h1>
        <span className="grow text-sm text-ink2">
          {first &&
            (asked.trim() === ''
              ? `${counted(first.window, 'message')} of the last ${days} days`
              : `${count(found)} of ${counted(first.window, 'message')} of the last ${days} days`)}
        </span>
        <TextField
          label="Words in subject or text"
          hideLabel
          placeholder="words in subject or text …"
          className="w-64 max-w-full"
          value={words}
          onChange={(e) => setWords(e.target.value)}
        />
      </div>
      {reading && !reading.finished && (
        <div className="px-4 pb-2">
          <progress className="h-2 w-64 accent-moss" value={reading.done} max={Math.max(1, reading.total)} />
          <span className="ml-2 text-sm text-ink2">
            reading past mail: {count(reading.done)} of {count(reading.total)}; nothing of it is acted on
          </span>
        </div>
      )}
      {failed && (
        <div className="px-4 pb-2">
          <Trouble
            text={problemText(failed.error)}
            onRetry={() => results.forEach((r) => void r.refetch())}
          />
        </div>
      )}
      <div className={`${COLUMNS} pb-1 text-[12.5px] text-ink2`}>
        <span>what happened</span>
        <span>when</span>
        <span>sender</span>
        <span>subject</span>
      </div>
      <div
        ref={scroller}
        className="min-h-0 grow overflow-auto border-t border-line bg-sheet"
        role="list"
        aria-label="Messages"
      >
        {!first && !failed && <Loading what="Fetching messages" />}
        {first && found === 0 && (
          <Empty>
            {asked.trim() === ''
              ? 'No messages in this stretch of time. New mail appears here by itself.'
              : `No message of the last ${days} days has “${asked.trim()}” in subject or text.`}
          </Empty>
        )}
        <div className="relative" style={{ height: rows.getTotalSize() }}>
          {rows.getVirtualItems().map((item) => {
            const found = line(item.index);
            return (
              <div
                key={item.key}
                role="listitem"
                className="absolute inset-x-0 top-0 border-b border-line"
                style={{ height: ROW, transform: `translateY(${item.start}px)` }}
              >
                {found && <Row line={found} onOpen={() => void navigate(`/incoming/${found.message.id}`)} />}
              </div>
            );
          })}
        </div>
      </div>
      <MessageSheet
        id={message === undefined ? undefined : Number(message)}
        onClose={() => void navigate('/incoming')}
      />
    </section>
  );
}

function Row({ line, onOpen }: { line: Schemas['IncomingLine']; onOpen: () => void }) {
  const { message, steps } = line;
  const what = happened(message.standing, steps);
  return (
    <button type="button" onClick={onOpen} className={`${COLUMNS} h-full w-full text-left hover:bg-ground`}>
      <span className="flex min-w-0 items-center gap-1.5 text-[12.5px] text-ink2">
        {what.kinds.map((kind) => (
          <Glyph key={kind} of={kind} />
        ))}
        <span className="truncate">{what.words}</span>
      </span>
      <span className="figures text-sm text-ink2">{shortDate(message.received)}</span>
      <span className="truncate">{message.sender}</span>
      <span className="truncate">
        {message.subject || <i className="text-ink2">(no subject)</i>}
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
