import { useState } from 'react';
import { problemText } from '../../../api/problem';
import { shortDate } from '../../../lib/dates';
import { Button } from '../../../ui/Button';
import { Trouble } from '../../../ui/States';
import { MessageSheet } from '../../incoming';
import { useNow } from '../../mailbox';
import { fateCounted, fateInWords, isWhole, type Form } from '../model';
import { useLook } from '../queries';

/** What the absence would have done to the mail of the last days, and what speaks against it. */
export function LookedBack({ id, form }: { id: string; form: Form }) {
  const look = useLook(id, form);
  const now = useNow();
  const [open, setOpen] = useState<string>();
  const [message, setMessage] = useState<number>();
  const [showsAnswer, setShowsAnswer] = useState(false);
  if (look.isError) {
    return <Trouble text={problemText(look.error)} onRetry={() => void look.refetch()} />;
  }
  if (!look.data) {
    return (
      <p className="text-ink2">
        {isWhole(form)
          ? 'Looking at past mail …'
          : 'Choose the answer, and see here what this would have done to the mail of the last days.'}
      </p>
    );
  }
  const { seen, findings } = look.data;
  const counts = seen.counts.filter(({ count }) => count > 0);
  return (
    <div aria-busy={look.isPlaceholderData}>
      <p className="text-ink2">If it had run for the last {seen.days} days</p>
      {counts.length === 0 && <p className="mt-1">No mail came in that it would have done anything with.</p>}
      <ul className="mt-1">
        {counts.map((each) => (
          <li key={each.fate}>
            <button
              type="button"
              className="flex w-full gap-2 py-0.5 text-left hover:underline"
              aria-expanded={open === each.fate}
              onClick={() => setOpen(open === each.fate ? undefined : each.fate)}
            >
              <b className="w-28 shrink-0">{fateCounted(each)}</b>
              {fateInWords(each)}
            </button>
            {open === each.fate && (
              <ul className="max-h-44 overflow-auto pl-4 text-sm">
                {each.messages.map((one) => (
                  <li key={one.id}>
                    <button
                      type="button"
                      className="flex w-full gap-2 text-left hover:underline"
                      onClick={() => setMessage(one.id)}
                    >
                      <span className="w-14 shrink-0 text-ink2">{shortDate(one.received, now)}</span>
                      <bdi className="truncate">{one.subject || '(no subject)'}</bdi>
                      <bdi className="truncate text-ink2">{one.sender}</bdi>
                    </button>
                  </li>
                ))}
                {each.count > each.messages.length && (
                  <li className="text-ink2">and {each.count - each.messages.length} more</li>
                )}
              </ul>
            )}
          </li>
        ))}
      </ul>
      {findings.length > 0 && (
        <ul aria-label="findings" className="mt-2 grid gap-1">
          {findings.map((finding, i) => (
            <li key={i} className="border-l-2 border-clay pl-2 text-clay">
              {finding.words}
            </li>
          ))}
        </ul>
      )}
      {seen.sample && (
        <div className="mt-2">
          <Button small look="quiet" aria-expanded={showsAnswer} onClick={() => setShowsAnswer(!showsAnswer)}>
            {showsAnswer ? 'Hide the answer' : 'See the answer'}
          </Button>
          {showsAnswer && (
            <div className="mt-1 rounded border border-line bg-ground px-3 py-2 text-sm">
              <p className="text-ink2">
                to <bdi>{seen.sample.to}</bdi>
              </p>
              <p className="font-semibold">{seen.sample.subject}</p>
              <p className="mt-1 whitespace-pre-wrap">{seen.sample.text}</p>
            </div>
          )}
        </div>
      )}
      <MessageSheet id={message} onClose={() => setMessage(undefined)} />
    </div>
  );
}
