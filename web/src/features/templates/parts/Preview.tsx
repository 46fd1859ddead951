import { useState } from 'react';
import { problemText } from '../../../api/problem';
import { shortDate } from '../../../lib/dates';
import { Button } from '../../../ui/Button';
import { Empty, Trouble } from '../../../ui/States';
import { TextField } from '../../../ui/Field';
import type { TemplateText } from '../model';
import { useAnswerable, usePreview, type SeenOn } from '../queries';

const MADE_UP = {
  from: 'Mara Lindqvist <mara@mailhaven.example>',
  to: '',
  subject: 'A question',
  text: 'Hello!',
};

/** As a recipient will see it, filled from real messages one after the other, or from one that is made up. */
export function Preview({ written }: { written: TemplateText }) {
  const messages = useAnswerable();
  const [at, setAt] = useState(0);
  const [madeUp, setMadeUp] = useState<typeof MADE_UP>();
  const [asText, setAsText] = useState(false);
  const message = messages.data?.[at];
  const seenOn: SeenOn | undefined = madeUp ? { madeUp } : message && { message: message.id };
  const preview = usePreview(written, seenOn);
  const last = (messages.data?.length ?? 0) - 1;
  const rich = preview.data !== undefined && preview.data.html !== '' && !asText;
  return (
    <section
      data-region
      aria-label="As the recipient sees it"
      className="hidden w-[320px] shrink-0 overflow-auto border-l border-line px-4 py-3.5 min-[1000px]:block min-[1152px]:w-[400px]"
    >
      <div className="flex items-center gap-1">
        <h2 className="grow font-bold">As the recipient sees it</h2>
        {!madeUp && (
          <>
            <Button small look="quiet" disabled={at >= last} onClick={() => setAt(at + 1)}>
              earlier
            </Button>
            <Button small look="quiet" disabled={at === 0} onClick={() => setAt(at - 1)}>
              later
            </Button>
          </>
        )}
      </div>
      {madeUp ? (
        <div className="grid gap-1.5">
          <TextField
            label="Written by"
            value={madeUp.from}
            onChange={(e) => setMadeUp({ ...madeUp, from: e.target.value })}
          />
          <TextField
            label="Its subject"
            value={madeUp.subject}
            onChange={(e) => setMadeUp({ ...madeUp, subject: e.target.value })}
          />
        </div>
      ) : (
        message && (
          <p className="truncate text-sm text-ink2">
            answering <bdi>{message.sender}</bdi>, {shortDate(message.received)}: <bdi>{message.subject}</bdi>
          </p>
        )
      )}
      <Button small look="quiet" className="-ml-2" onClick={() => setMadeUp(madeUp ? undefined : MADE_UP)}>
        {madeUp ? 'on a real message' : 'on a made-up message …'}
      </Button>
      {!madeUp && messages.data?.length === 0 && (
        <Empty>No message of a person is in the window to try it on.</Empty>
      )}
      {preview.isError && (
        <div className="mt-2">
          <Trouble text={problemText(preview.error)} />
        </div>
      )}
      {written.text.trim() === '' && message && (
        <p className="mt-4 text-ink2">Write a text, and it stands here as this writer would get it.</p>
      )}
      {preview.data && written.text.trim() !== '' && (
        <>
          {preview.data.html !== '' && (
            <Button small className="mt-1" onClick={() => setAsText(!asText)}>
              {asText ? 'show the rich form' : 'show the plain form'}
            </Button>
          )}
          <div className="mt-2 rounded-md border border-line bg-sheet px-3 py-2.5" aria-live="polite">
            <p className="text-sm text-ink2">to {preview.data.to ?? 'nobody: there is no return path'}</p>
            <p className="font-semibold">
              <bdi>{preview.data.subject}</bdi>
            </p>
            {rich ? (
              <iframe
                title="The rich form"
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
                    key={fault.words}
                    className="rounded border border-dashed border-line2 px-2.5 py-1.5 text-sm"
                  >
                    {fault.words}
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
