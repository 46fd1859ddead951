import { useEvidenceDays, ShortDate } from '../../mailbox';
import { useState } from 'react';
import { problemText } from '../../../api/problem';
import { Button } from '../../../ui/Button';
import { Empty, Trouble } from '../../../ui/States';
import { TextField } from '../../../ui/Field';
import type { TemplateText } from '../model';
import { useAnswerable, usePreview, type SeenOn } from '../queries';

const SAMPLE = {
  from: 'Mara Lindqvist <mara@mailhaven.example>',
  to: '',
  subject: 'A question',
  text: 'Hello.',
};

/** As a recipient will see it, filled from real messages one after the other, or from a sample message. */
export function Preview({ written }: { written: TemplateText }) {
  const days = useEvidenceDays();
  const messages = useAnswerable();
  const [at, setAt] = useState(0);
  const [sample, setSample] = useState<typeof SAMPLE>();
  const [asText, setAsText] = useState(false);
  const message = messages.data?.[at];
  const seenOn: SeenOn | undefined = sample ? { sample } : message && { message: message.id };
  const preview = usePreview(written, seenOn);
  const last = (messages.data?.length ?? 0) - 1;
  const rich = preview.data !== undefined && preview.data.html !== '' && !asText;
  return (
    <section
      data-region
      aria-label="Preview"
      className="hidden w-[320px] shrink-0 overflow-auto border-l border-line px-4 py-3.5 min-[1000px]:block min-[1152px]:w-[400px]"
    >
      <div className="flex items-center gap-1">
        <h2 className="grow font-bold">Preview</h2>
        {!sample && (
          <>
            <Button small look="quiet" disabled={at >= last} onClick={() => setAt(at + 1)}>
              Earlier
            </Button>
            <Button small look="quiet" disabled={at === 0} onClick={() => setAt(at - 1)}>
              Later
            </Button>
          </>
        )}
      </div>
      {sample ? (
        <div className="grid gap-1.5">
          <TextField
            label="From"
            value={sample.from}
            onChange={(e) => setSample({ ...sample, from: e.target.value })}
          />
          <TextField
            label="Subject"
            value={sample.subject}
            onChange={(e) => setSample({ ...sample, subject: e.target.value })}
          />
        </div>
      ) : (
        message && (
          <p className="truncate text-sm text-ink2">
            answering <bdi>{message.sender}</bdi>, <ShortDate of={message.received} />:{' '}
            <bdi>{message.subject}</bdi>
          </p>
        )
      )}
      <Button small look="quiet" className="-ml-2" onClick={() => setSample(sample ? undefined : SAMPLE)}>
        {sample ? 'a real message' : 'Preview with a sample message …'}
      </Button>
      {!sample && messages.data?.length === 0 && (
        <Empty>No message from a person in the last {days} days to preview with.</Empty>
      )}
      {preview.isError && (
        <div className="mt-2">
          <Trouble text={problemText(preview.error)} />
        </div>
      )}
      {written.text.trim() === '' && message && (
        <p className="mt-4 text-ink2">Write a text to see the reply here.</p>
      )}
      {preview.data && written.text.trim() !== '' && (
        <>
          {preview.data.html !== '' && (
            <Button small className="mt-1" onClick={() => setAsText(!asText)}>
              {asText ? 'Show rich text' : 'Show plain text'}
            </Button>
          )}
          <div className="mt-2 rounded-md border border-line bg-sheet px-3 py-2.5" aria-live="polite">
            <p className="text-sm text-ink2">to {preview.data.to ?? 'nobody: there is no return path'}</p>
            <p className="font-semibold">
              <bdi>{preview.data.subject}</bdi>
            </p>
            {rich ? (
              <iframe
                title="Rich text"
                sandbox=""
                srcDoc={preview.data.html}
                className="mt-2 h-72 w-full rounded border border-line bg-sheet"
              />
            ) : (
              <p className="mt-2 break-words whitespace-pre-wrap">{preview.data.text}</p>
            )}
            {preview.data.documents.length > 0 && (
              <p className="mt-2 border-t border-line pt-1.5 text-sm">
                with {preview.data.documents.join(', ')}
              </p>
            )}
          </div>
          {preview.data.faults.length > 0 && (
            <section aria-label="Worth a look" className="mt-3">
              <h3 className="text-sm font-semibold text-ink2">Worth a look</h3>
              <ul className="mt-1 grid gap-1.5">
                {preview.data.faults.map((fault) => (
                  <li
                    key={fault.what.words}
                    className="rounded border border-dashed border-line2 px-2.5 py-1.5 text-sm"
                  >
                    {fault.what.words}
                  </li>
                ))}
              </ul>
            </section>
          )}
        </>
      )}
    </section>
  );
}
