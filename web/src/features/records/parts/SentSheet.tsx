import { useState } from 'react';
import type { Schemas } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { dayAndTime } from '../../../lib/dates';
import { Button } from '../../../ui/Button';
import { Glyph } from '../../../ui/glyphs';
import { Sheet } from '../../../ui/Sheet';
import { Empty, Loading, Trouble } from '../../../ui/States';
import { doneInWords, stateInWords } from '../../incoming';
import { useAnswers, useSent } from '../queries';

type Step = Schemas['StepView'];

/** A message as it went out or is to go out: readable, and its source; of a reply the whole story with its writer. */
export function SentSheet({ step, onClose }: { step: Step | undefined; onClose: () => void }) {
  return (
    <Sheet title={step ? `As it ${wentOut(step)}` : ''} open={step !== undefined} onClose={onClose} wide>
      {step && <Opened step={step} />}
    </Sheet>
  );
}

function wentOut(step: Step): string {
  return step.state === 'SENT' ? 'went out' : 'would go out';
}

function Opened({ step }: { step: Step }) {
  const sent = useSent(step.id);
  const [raw, setRaw] = useState(false);
  if (sent.isPending) {
    return <Loading what="Loading the message" />;
  }
  if (sent.isError) {
    return <Trouble text={problemText(sent.error)} />;
  }
  const { shown, texts, page, attachments } = sent.data;
  const files = attachments.map((file) => file.name).filter((name) => name !== '');
  return (
    <div className="grid gap-3">
      <dl className="grid grid-cols-[92px_1fr] gap-x-2 text-sm">
        <dt className="text-ink2">delivered to</dt>
        <dd className="break-words">
          {step.recipient} — {stateInWords(step.state)}
          {step.settledAt && `, ${dayAndTime(step.settledAt)}`}
          {step.because && <span className="block text-ink2">{step.because.words}</span>}
        </dd>
        <dt className="text-ink2">from</dt>
        <dd className="break-words">{shown.sender}</dd>
        <dt className="text-ink2">to</dt>
        <dd className="break-words">{shown.to}</dd>
        <dt className="text-ink2">subject</dt>
        <dd className="font-semibold break-words">{shown.subject}</dd>
        <dt className="text-ink2">replies go to</dt>
        <dd className="break-words">{shown.answers}</dd>
      </dl>
      <div>
        <Button small onClick={() => setRaw(!raw)}>
          {raw ? 'Show the text' : 'Show the source'}
        </Button>
      </div>
      {raw ? (
        <pre className="max-h-[60vh] overflow-auto rounded border border-line bg-ground p-2 text-xs whitespace-pre-wrap">
          {sent.data.raw}
          {sent.data.size > sent.data.raw.length && '\n[…]'}
        </pre>
      ) : page ? (
        <iframe
          title="Rich text"
          sandbox=""
          srcDoc={page}
          className="h-80 w-full rounded border border-line bg-sheet"
        />
      ) : (
        <div className="rounded border border-line px-3 py-2 break-words whitespace-pre-wrap">
          {texts.join('\n\n') || 'This message has no text.'}
        </div>
      )}
      {files.length > 0 && <p className="text-sm text-ink2">with {files.join(', ')}</p>}
      {step.kind === 'REPLY' && step.recipient && <Story sender={step.recipient} />}
    </div>
  );
}

/** Every reply to this sender, sent or not, and why. */
function Story({ sender }: { sender: string }) {
  const answers = useAnswers(sender);
  return (
    <section aria-label={`Replies to ${sender}`} className="rounded bg-ground px-3 py-2">
      <h3 className="font-bold">Replies to {sender}</h3>
      {answers.isPending && <Loading what="Loading the replies" />}
      {answers.isError && <Trouble text={problemText(answers.error)} />}
      {answers.data?.length === 0 && <Empty>None.</Empty>}
      <ol className="mt-1 text-sm">
        {answers.data?.map(({ step, message }) => (
          <li key={step.id} className="flex items-start gap-1.5 border-t border-line py-1">
            <span className="mt-0.5">
              <Glyph of={step.state === 'HELD' ? 'HELD' : step.kind} />
            </span>
            <span className="min-w-0 break-words">
              {dayAndTime(step.plannedAt)}: “<bdi>{message.subject || '(no subject)'}</bdi>” —{' '}
              {doneInWords(step)} by “{step.ruleName}”, <b>{stateInWords(step.state)}</b>
              {step.because && <span className="block text-ink2">{step.because.words}</span>}
            </span>
          </li>
        ))}
      </ol>
    </section>
  );
}
