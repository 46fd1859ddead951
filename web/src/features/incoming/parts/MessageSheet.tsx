import { useState, type ReactNode } from 'react';
import { problemText } from '../../../api/problem';
import type { Schemas } from '../../../api/client';
import { dayAndTime } from '../../../lib/dates';
import { Button } from '../../../ui/Button';
import { Glyph } from '../../../ui/glyphs';
import { Sheet } from '../../../ui/Sheet';
import { Loading, Trouble } from '../../../ui/States';
import { useMailboxId } from '../../mailbox';
import { doneInWords, stateInWords, wouldBe } from '../model';
import { useExplained, useMessage } from '../queries';
import { StartHere } from './StartHere';

interface Props {
  id: number | undefined;
  /** A rule in the making, which is explained among the others. */
  draft?: Draft | undefined;
  /** What else can be done about a message here. */
  more?: ((view: Schemas['MessageDetails']) => ReactNode) | undefined;
  onClose: () => void;
}

interface Draft {
  rule: Schemas['Rule'];
  order: number;
}

export function MessageSheet({ id, draft, more, onClose }: Props) {
  const message = useMessage(id);
  return (
    <Sheet
      title={message.data?.line.subject || (message.isPending ? 'Message' : '(no subject)')}
      open={id !== undefined}
      onClose={onClose}
    >
      {message.isPending && <Loading what="Loading the message" />}
      {message.isError && (
        <Trouble text={problemText(message.error)} onRetry={() => void message.refetch()} />
      )}
      {message.data && <Opened view={message.data} draft={draft} more={more} />}
    </Sheet>
  );
}

function Opened({ view, draft, more }: Pick<Props, 'draft' | 'more'> & { view: Schemas['MessageDetails'] }) {
  return (
    <div className="grid gap-4">
      <div className="flex items-start gap-3">
        <dl className="grid grow grid-cols-[56px_1fr] gap-x-2 text-sm">
          <People label="from" people={view.from} />
          <People label="to" people={view.to} />
          <People label="copy" people={view.cc} />
          <dt className="text-ink2">came</dt>
          <dd>
            {dayAndTime(view.line.received)} · {view.sentBy.map((by) => by.words).join(', ')}
          </dd>
        </dl>
      </div>
      {view.line.notes.length > 0 && (
        <ul className="rounded border border-dashed border-clay px-3 py-2 text-sm text-clay">
          {view.line.notes.map((note) => (
            <li key={note.code}>{note.words}</li>
          ))}
        </ul>
      )}
      {view.repeats && (
        <p className="rounded bg-ground px-3 py-2 text-sm">
          The same message came in again, {view.repeats.times === 1 ? 'once' : `${view.repeats.times} times`},
          last on {dayAndTime(view.repeats.last)}. It counts as one message: nothing was done a second time.
        </p>
      )}
      {!draft && <StartHere id={view.line.id} />}
      <WhatHappened view={view} />
      <Explained id={view.line.id} draft={draft} />
      {more?.(view)}
      <Body view={view} />
      {view.attachments.length > 0 && (
        <ul className="text-sm text-ink2">
          {view.attachments.map((file, i) => (
            <li key={i}>
              attached: <b className="text-ink">{file.name || file.mediaType}</b> ·{' '}
              {Math.ceil(file.bytes / 1024)} KB
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

function People({ label, people }: { label: string; people: { name: string; address: string }[] }) {
  if (people.length === 0) {
    return null;
  }
  return (
    <>
      <dt className="text-ink2">{label}</dt>
      <dd className="min-w-0 break-words">
        {people.map((p) => (p.name ? `${p.name} <${p.address}>` : p.address)).join(', ')}
      </dd>
    </>
  );
}

function WhatHappened({ view }: { view: Schemas['MessageDetails'] }) {
  if (!view.decision) {
    return (
      <p className="rounded bg-ground px-3 py-2 text-sm text-ink2">
        {view.line.status === 'PAST'
          ? 'This is past mail. It counts as evidence, and nothing was done with it.'
          : 'No rule looked at this message. It is untouched in the mailbox.'}
      </p>
    );
  }
  return (
    <section aria-label="What happened and why" className="rounded bg-ground px-3 py-2">
      <h3 className="font-bold">What happened and why</h3>
      <ul className="mt-1">
        {view.steps.map((step) => (
          <li key={step.id} className="flex items-start gap-2 py-0.5">
            <Glyph of={step.kind} />
            <span>
              {doneInWords(step)} by “{step.ruleName}” — <b>{stateInWords(step.state)}</b>
              {step.because && (
                <span className="block text-sm text-ink2">
                  {step.because.words}
                  {step.source && ` (${step.source})`}
                </span>
              )}
              {step.advice && <span className="block text-sm">{step.advice.words}</span>}
            </span>
          </li>
        ))}
        {view.steps.length === 0 && <li className="text-ink2">Nothing: no rule picked it.</li>}
      </ul>
      <ol className="mt-2 border-t border-line pt-2 text-sm text-ink2">
        {view.decision.rules.map((line, i) => (
          <li key={line.rule} className={line.picked ? 'text-ink' : ''}>
            {i + 1}. “{line.name}”: {line.outcome.words}
          </li>
        ))}
      </ol>
      <p className="mt-1 text-sm text-ink2">
        {view.decision.staysInInbox ? 'It stays in the inbox.' : 'It leaves the inbox.'}
      </p>
    </section>
  );
}

/** What each rule, as the rules are now, would make of it, and why. */
function Explained({ id, draft }: { id: number; draft: Draft | undefined }) {
  const explained = useExplained(id, draft);
  if (!explained.data || explained.data.rules.length === 0) {
    return null;
  }
  const { rules, done, notDone, staysInInbox } = explained.data;
  return (
    <details className="rounded bg-ground px-3 py-2" open={draft !== undefined}>
      <summary className="cursor-pointer font-bold">
        {draft ? 'What this rule and the others would do' : 'What today’s rules would do'}
      </summary>
      <ol className="mt-1 text-sm text-ink2">
        {rules.map((line, i) => (
          <li key={line.rule} className={line.picked || line.rule === draft?.rule.id ? 'text-ink' : ''}>
            {i + 1}. “{line.name}”: {line.outcome.words}
          </li>
        ))}
      </ol>
      <p className="mt-1 text-sm text-ink2">
        {wouldBe(done, notDone)} {staysInInbox ? 'It would stay in the inbox.' : 'It would leave the inbox.'}
      </p>
    </details>
  );
}

function Body({ view }: { view: Schemas['MessageDetails'] }) {
  const mailbox = useMailboxId();
  const [asHtml, setAsHtml] = useState(false);
  return (
    <div>
      {view.hasHtml && (
        <Button small className="mb-2" onClick={() => setAsHtml(!asHtml)}>
          {asHtml ? 'Show the text' : 'Show the original layout'}
        </Button>
      )}
      {asHtml ? (
        <iframe
          title="The message in its original layout"
          sandbox=""
          src={`/api/mailboxes/${mailbox}/messages/${view.line.id}/html`}
          className="h-80 w-full rounded border border-line bg-sheet"
        />
      ) : (
        <div className="break-words whitespace-pre-wrap">
          {view.texts.join('\n\n') || 'This message has no text.'}
        </div>
      )}
    </div>
  );
}
