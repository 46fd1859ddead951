import { useEffect, useState } from 'react';
import { problemText } from '../../../../api/problem';
import { dayAndTime } from '../../../../lib/dates';
import { Button } from '../../../../ui/Button';
import { TextArea, TextField } from '../../../../ui/Field';
import { Loading, Trouble } from '../../../../ui/States';
import { ComposedNote, ComposedText } from '../../../composing';
import { useNow } from '../../../mailbox';
import { ACTS } from '../../acts';
import { useEdit, useSent, type Act } from '../../queries';
import { isToApprove, untilInWords, type Waiting } from '../../waiting';

interface Props {
  of: Waiting;
  busy: boolean;
  onAct: (act: Act) => void;
}

interface Words {
  subject: string;
  text: string;
}

/** What would go out, and what can be done about it. */
export function GoesOut({ of, busy, onAct }: Props) {
  const { step, composed } = of;
  const sent = useSent(step.id, composed?.progress);
  const edit = useEdit(step.id);
  const [words, setWords] = useState<Words>();
  const unable = busy || edit.isPending;
  const send = () => {
    if (unable || !step.acts.includes('SEND_NOW')) {
      return;
    }
    if (words === undefined) {
      onAct('SEND_NOW');
    } else {
      edit.mutate(words, { onSuccess: () => onAct('SEND_NOW') });
    }
  };
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
        event.preventDefault();
        send();
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
  const shown = sent.data?.shown;
  const sentences = composed?.progress === 'COMPOSED' && !step.edited ? composed.sentences : undefined;
  const text = sent.data?.texts.join('\n\n') ?? '';
  const files = sent.data?.attachments.map((file) => file.name).filter((name) => name !== '') ?? [];
  return (
    <section aria-label="What would go out" className="flex min-w-0 flex-col">
      <div className="grow px-4 py-3">
        <h2 className="mb-1.5 text-sm font-semibold text-ink2">What would go out</h2>
        {sent.isPending && <Loading what="Loading what would go out" />}
        {sent.isError && <Trouble text={problemText(sent.error)} onRetry={() => void sent.refetch()} />}
        {shown && (
          <dl className="mb-2.5 grid grid-cols-[64px_minmax(0,1fr)] gap-x-2 text-sm">
            <dt className="text-ink2">to</dt>
            <dd className="font-semibold break-words">{step.recipient}</dd>
            {words === undefined && (
              <>
                <dt className="text-ink2">subject</dt>
                <dd className="break-words">{shown.subject}</dd>
              </>
            )}
            <dt className="text-ink2">from</dt>
            <dd className="break-words">{shown.sender}</dd>
          </dl>
        )}
        {step.because?.code === 'COMPOSED' && words === undefined && (
          <ComposedNote step={step.id} composed={composed} edited={step.edited} />
        )}
        {shown && words === undefined && sentences && <ComposedText sentences={sentences} />}
        {shown && words === undefined && !sentences && (
          <div className="rounded border border-line2 px-3 py-2 break-words whitespace-pre-wrap">
            {text || 'This message has no text.'}
          </div>
        )}
        {words !== undefined && <Editing words={words} onChange={setWords} />}
        {files.length > 0 && <p className="mt-1 text-sm text-ink2">with {files.join(', ')}</p>}
        {edit.isError && <Trouble text={problemText(edit.error)} />}
        <Why of={of} />
      </div>
      <div className="sticky bottom-0 flex flex-wrap items-center gap-2 border-t border-line bg-sheet px-4 py-2">
        {step.acts
          .filter((act) => act === 'SEND_NOW' || words === undefined)
          .map((act) =>
            act === 'SEND_NOW' ? (
              <Button key={act} look="go" disabled={unable} onClick={send}>
                {words === undefined ? ACTS[act] : 'Send it like this'}
                <kbd className="text-xs font-normal">Ctrl Enter</kbd>
              </Button>
            ) : (
              <Button key={act} disabled={unable} onClick={() => onAct(act)}>
                {ACTS[act]}
              </Button>
            ),
          )}
        {step.mayBeEdited && shown && words === undefined && (
          <Button onClick={() => setWords({ subject: shown.subject, text })}>Edit</Button>
        )}
        {words !== undefined && (
          <>
            <Button
              disabled={unable}
              onClick={() => edit.mutate(words, { onSuccess: () => setWords(undefined) })}
            >
              Keep for later
            </Button>
            <Button look="quiet" onClick={() => setWords(undefined)}>
              Cancel
            </Button>
          </>
        )}
      </div>
    </section>
  );
}

function Editing({ words, onChange }: { words: Words; onChange: (words: Words) => void }) {
  return (
    <div className="grid gap-1.5">
      <TextField
        label="Subject"
        value={words.subject}
        onChange={(e) => onChange({ ...words, subject: e.target.value })}
      />
      <TextArea
        label="Text"
        rows={12}
        autoFocus
        value={words.text}
        onChange={(e) => onChange({ ...words, text: e.target.value })}
      />
      <p className="text-sm text-ink2">
        It goes out as plain text and as your own message: it is not marked as automatic.
      </p>
    </div>
  );
}

function Why({ of: { step } }: { of: Waiting }) {
  const now = useNow();
  if (isToApprove(step)) {
    return null;
  }
  return (
    <p className="mt-2 text-sm text-ink2">
      {step.releaseAt === undefined
        ? `Held: ${step.because?.words ?? ''}`
        : `It goes out by itself ${untilInWords(step.releaseAt, now, dayAndTime)}.`}
    </p>
  );
}
