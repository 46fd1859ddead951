import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import type { Schemas } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { count, counted } from '../../../lib/numbers';
import { Bars } from '../../../ui/Bars';
import { Button } from '../../../ui/Button';
import { Sheet } from '../../../ui/Sheet';
import { Loading, Trouble } from '../../../ui/States';
import { useEvidenceDays, ShortDate } from '../../mailbox';
import { useKind } from '../queries';
import { whoInWords, whoMore } from '../who';
import { Pattern } from './Pattern';
import { Suggestions } from './Suggestions';

const FIRST = 20;
const MORE = 400;

interface Props {
  kind: string | null;
  onOpen: (message: number) => void;
  onClose: () => void;
}

/** A kind of recurring mail: what would pick it, who takes it today, its patterns, senders and messages. */
export function KindSheet({ kind, onOpen, onClose }: Props) {
  const [messages, setMessages] = useState(FIRST);
  const opened = useKind(kind, messages);
  const close = () => {
    setMessages(FIRST);
    onClose();
  };
  return (
    <Sheet
      title={opened.data ? titled(opened.data.kind) : 'Recurring mail'}
      open={kind !== null}
      onClose={close}
    >
      {opened.isPending && <Loading what="Comparing messages" />}
      {opened.isError && <Trouble text={problemText(opened.error)} onRetry={() => void opened.refetch()} />}
      {opened.data && (
        <Opened
          view={opened.data}
          onOpen={onOpen}
          onMore={opened.data.messages.length < MORE ? () => setMessages(MORE) : undefined}
        />
      )}
    </Sheet>
  );
}

function titled(kind: Schemas['RecurringView']): string {
  const pieces = kind.patterns[0]?.pieces;
  return pieces
    ? pieces.map((piece) => (piece.slot ? '…' : piece.words)).join(' ')
    : `All mail of ${whoInWords(kind.who)}`;
}

interface OpenedProps {
  view: Schemas['KindView'];
  onOpen: (message: number) => void;
  onMore: (() => void) | undefined;
}

function Opened({ view, onOpen, onMore }: OpenedProps) {
  const days = useEvidenceDays();
  const { kind } = view;
  return (
    <div className="grid gap-4">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <p className="text-sm text-ink2">
          {whoInWords(kind.who)}, {whoMore(kind.who)} ·{' '}
          <b className="text-ink">{counted(kind.messages, 'message')}</b> in the last {days} days
        </p>
        <Bars values={kind.weeks} label={`by week, oldest first: ${kind.weeks.join(', ')}`} />
      </div>
      <Part name="Suggested criteria">
        {view.suggestions.length === 0 && (
          <p className="text-sm text-ink2">
            Its messages have nothing in common that others lack. Open one of them to start from it.
          </p>
        )}
        <Suggestions
          suggestions={view.suggestions}
          wanted={kind.messages}
          example={kind.example.id}
          figures={(one) => picks(one, kind.messages)}
        />
      </Part>
      <TakenBy kind={kind} />
      {view.patterns.length > 0 && (
        <Part name="Subject patterns">
          <ul className="grid gap-1">
            {view.patterns.map((pattern, i) => (
              <li key={i} className="flex gap-3">
                <span className="min-w-0 grow">
                  <Pattern pattern={pattern} />
                </span>
                <span className="figures text-sm text-ink2">{count(pattern.messages)}</span>
              </li>
            ))}
          </ul>
          <AndMore
            all={kind.patterns.length + kind.morePatterns}
            shown={view.patterns.length}
            one="pattern"
          />
        </Part>
      )}
      <Part name="Senders">
        <ul className="grid gap-x-6 text-sm sm:grid-cols-2">
          {view.senders.map((sender) => (
            <li key={sender.address} className="flex gap-2">
              <bdi className="min-w-0 grow truncate">{sender.address}</bdi>
              <span className="figures text-ink2">{count(sender.messages)}</span>
            </li>
          ))}
        </ul>
        <AndMore all={view.allSenders} shown={view.senders.length} one="sender" />
      </Part>
      <Part name="Messages">
        <ul className="border-t border-line">
          {view.messages.map((line) => (
            <li key={line.id} className="border-b border-line">
              <button
                type="button"
                className="grid w-full grid-cols-[52px_minmax(0,1fr)_minmax(0,180px)] gap-2 py-1 text-left hover:bg-ground"
                onClick={() => onOpen(line.id)}
              >
                <span className="figures text-sm text-ink2">
                  <ShortDate of={line.received} />
                </span>
                <bdi className="truncate">{line.subject || '(no subject)'}</bdi>
                <bdi className="truncate text-sm text-ink2">{line.sender}</bdi>
              </button>
            </li>
          ))}
        </ul>
        {onMore && view.messages.length < kind.messages && (
          <Button small className="mt-2" onClick={onMore}>
            Show more of {count(kind.messages)}
          </Button>
        )}
        {!onMore && <AndMore all={kind.messages} shown={view.messages.length} one="message" />}
      </Part>
    </div>
  );
}

function picks(one: Schemas['SuggestionView'], all: number): string {
  const own = one.takes === all ? `all ${count(all)}` : `${count(one.takes)} of ${count(all)}`;
  const others = one.elsewhere === 0 ? 'no others' : counted(one.elsewhere, 'other');
  return `picks ${own} of this kind and ${others}`;
}

function TakenBy({ kind }: { kind: Schemas['RecurringView'] }) {
  const navigate = useNavigate();
  return (
    <Part name="Rules that pick some of it">
      {kind.takenBy.length === 0 && <p className="text-sm text-ink2">No rule does.</p>}
      <ul className="flex flex-wrap gap-2">
        {kind.takenBy.map((rule) => (
          <li key={rule.rule}>
            <Button small onClick={() => void navigate(`/rules/${rule.rule}`)}>
              {rule.name}: {count(rule.messages)} of {count(kind.messages)}
            </Button>
          </li>
        ))}
      </ul>
    </Part>
  );
}

function AndMore({ all, shown, one }: { all: number; shown: number; one: string }) {
  return all > shown ? <p className="text-sm text-ink2">and {counted(all - shown, `other ${one}`)}</p> : null;
}

function Part({ name, children }: { name: string; children: ReactNode }) {
  return (
    <section aria-label={name}>
      <h3 className="mb-1 font-bold">{name}</h3>
      {children}
    </section>
  );
}
