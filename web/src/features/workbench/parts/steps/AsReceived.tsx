import { useState } from 'react';
import type { Schemas } from '../../../../api/client';
import { problemText } from '../../../../api/problem';
import { Button } from '../../../../ui/Button';
import { Glyph, type Happening } from '../../../../ui/glyphs';
import { Sheet } from '../../../../ui/Sheet';
import { Loading, Trouble } from '../../../../ui/States';
import { useAsReceived } from '../../handing';
import type { Step } from '../../model';

interface Props {
  step: Extract<Step, { to: string[] }>;
  messages: number[];
  /** Seen where there are no messages. */
  sample: Schemas['SampleMessage'];
  open: boolean;
  onClose: () => void;
  onForwardInstead: () => void;
}

/** A message of the evidence as its recipient would see it, forwarded and redirected, with what differs. */
export function AsReceived({ step, messages, sample, open, onClose, onForwardInstead }: Props) {
  const [at, setAt] = useState(0);
  const message = messages[at];
  const seen = useAsReceived(message === undefined ? { sample } : { message }, step, open);
  return (
    <Sheet title="What recipients see" open={open} onClose={onClose} wide>
      <div className="mb-2 flex items-center gap-1">
        <span className="grow truncate text-sm text-ink2">
          {seen.data &&
            `${message === undefined ? 'the sample message, as the rule picks no past one' : 'a past message'}, from ${seen.data.original.shown.sender}: ${seen.data.original.shown.subject}`}
        </span>
        <Button small look="quiet" disabled={at >= messages.length - 1} onClick={() => setAt(at + 1)}>
          Earlier
        </Button>
        <Button small look="quiet" disabled={at === 0} onClick={() => setAt(at - 1)}>
          Later
        </Button>
      </div>
      {seen.isPending && <Loading what="Preparing the message" />}
      {seen.isError && <Trouble text={problemText(seen.error)} onRetry={() => void seen.refetch()} />}
      {seen.data && (
        <div className="grid gap-4 min-[900px]:grid-cols-2">
          <Side title="forwarded" glyph="FORWARD" seen={seen.data.forwarded} chosen={step.do === 'forward'} />
          <Side
            title="redirected"
            glyph="REDIRECT"
            seen={seen.data.redirected}
            chosen={step.do === 'redirect'}
          />
        </div>
      )}
      {step.do === 'redirect' && (
        <Button className="mt-4" onClick={onForwardInstead}>
          Forward it instead
        </Button>
      )}
    </Sheet>
  );
}

const SEEN: Record<Schemas['SeenOtherwise']['what'], string> = {
  SENDER: 'from',
  SUBJECT: 'subject',
  REPLIES_TO: 'replies go to',
  ATTACHMENTS: 'attachments',
};

interface SideProps {
  title: string;
  glyph: Happening;
  seen: Schemas['Seen'];
  chosen: boolean;
}

function Side({ title, glyph, seen, chosen }: SideProps) {
  return (
    <section aria-label={title} className="min-w-0">
      <h3 className="flex items-center gap-1.5 font-bold">
        <Glyph of={glyph} /> {title}
        {chosen && <span className="text-sm font-normal text-ink2">as this rule says</span>}
      </h3>
      <dl className="mt-1 grid grid-cols-[92px_1fr] gap-x-2 rounded-md border border-line px-2.5 py-2 text-sm">
        <dt className="text-ink2">from</dt>
        <dd className="break-words">{seen.shown.sender}</dd>
        <dt className="text-ink2">subject</dt>
        <dd className="font-semibold break-words">{seen.shown.subject}</dd>
        <dt className="text-ink2">replies go to</dt>
        <dd className="break-words">{seen.shown.answers}</dd>
        {seen.shown.attachments.length > 0 && (
          <>
            <dt className="text-ink2">attached</dt>
            <dd className="break-words">{seen.shown.attachments.join(', ')}</dd>
          </>
        )}
      </dl>
      <div
        role="group"
        aria-label={`text as ${title}`}
        tabIndex={0}
        className="mt-2 max-h-[300px] overflow-auto rounded-md border border-line px-2.5 py-2 text-sm break-words whitespace-pre-wrap"
      >
        {seen.text}
      </div>
      <h4 className="mt-2 text-sm font-semibold text-ink2">Differences from the original</h4>
      {seen.differences.length === 0 ? (
        <p className="text-sm">Nothing: it is the same message.</p>
      ) : (
        <ul className="text-sm">
          {seen.differences.map((one) => (
            <li key={one.what} className="break-words">
              {SEEN[one.what]}: {one.before || 'none'} → <b>{one.now || 'none'}</b>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
