import { useState } from 'react';
import { problemText } from '../../../api/problem';
import { shortDate } from '../../../lib/dates';
import { Button } from '../../../ui/Button';
import { Empty, Trouble } from '../../../ui/States';
import type { TemplateText } from '../model';
import { useAnswerable, usePreview } from '../queries';

/** As a recipient will see it, filled from real messages one after the other. */
export function Preview({ written }: { written: TemplateText }) {
  const messages = useAnswerable();
  const [at, setAt] = useState(0);
  const message = messages.data?.[at];
  const preview = usePreview(written, message?.id);
  const last = (messages.data?.length ?? 0) - 1;
  return (
    <section
      data-region
      aria-label="As the recipient sees it"
      className="hidden w-[400px] shrink-0 overflow-auto border-l border-line px-4 py-3.5 min-[1000px]:block"
    >
      <div className="flex items-center gap-1">
        <h2 className="grow font-bold">As the recipient sees it</h2>
        <Button small look="quiet" disabled={at >= last} onClick={() => setAt(at + 1)}>
          earlier
        </Button>
        <Button small look="quiet" disabled={at === 0} onClick={() => setAt(at - 1)}>
          later
        </Button>
      </div>
      {message && (
        <p className="truncate text-sm text-ink2">
          answering <bdi>{message.sender}</bdi>, {shortDate(message.received)}: <bdi>{message.subject}</bdi>
        </p>
      )}
      {messages.data?.length === 0 && <Empty>No message of a person is in the window to try it on.</Empty>}
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
          <div className="mt-2 rounded-md border border-line bg-sheet px-3 py-2.5" aria-live="polite">
            <p className="text-sm text-ink2">to {preview.data.to ?? 'nobody: there is no return path'}</p>
            <p className="font-semibold">
              <bdi>{preview.data.subject}</bdi>
            </p>
            <p className="mt-2 break-words whitespace-pre-wrap">{preview.data.text}</p>
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
