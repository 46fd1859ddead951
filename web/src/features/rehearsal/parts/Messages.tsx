import { useState } from 'react';
import { problemText } from '../../../api/problem';
import type { Schemas } from '../../../api/client';
import { shortDate } from '../../../lib/dates';
import { counted } from '../../../lib/numbers';
import { Button } from '../../../ui/Button';
import { Loading, Trouble } from '../../../ui/States';
import { useNow } from '../../mailbox';
import { inWords } from '../model';
import { useBoth, useRehearsed, type Asked } from '../queries';

const PAGE = 50;

/** The messages of one number, with what is done with each and what would be. */
export function Messages({ rehearsal, asked, title }: { rehearsal: string; asked: Asked; title: string }) {
  const [offset, setOffset] = useState(0);
  const found = useRehearsed(rehearsal, asked, offset);
  if (found.isPending) {
    return <Loading what="Looking for the messages" />;
  }
  if (found.isError) {
    return <Trouble text={problemText(found.error)} onRetry={() => void found.refetch()} />;
  }
  const { messages, page } = found.data;
  return (
    <section aria-label={title}>
      <h3 className="px-3 pt-2 text-sm font-semibold text-ink2">
        {title}: {counted(messages, 'message')}
      </h3>
      <ul>
        {page.map((one) => (
          <Message key={one.message.id} rehearsal={rehearsal} one={one} />
        ))}
      </ul>
      {messages > PAGE && (
        <div className="flex items-center gap-2 px-3 py-2 text-sm text-ink2">
          <Button small disabled={offset === 0} onClick={() => setOffset(offset - PAGE)}>
            Newer
          </Button>
          <Button small disabled={offset + PAGE >= messages} onClick={() => setOffset(offset + PAGE)}>
            Older
          </Button>
          {offset + 1} to {Math.min(offset + PAGE, messages)}
        </div>
      )}
    </section>
  );
}

function Message({ rehearsal, one }: { rehearsal: string; one: Schemas['RehearsedMessage'] }) {
  const [open, setOpen] = useState(false);
  const now = useNow();
  const same = inWords(one.before) === inWords(one.after);
  return (
    <li className="border-t border-line">
      <button
        type="button"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
        className="grid w-full grid-cols-[64px_minmax(0,1fr)] gap-x-3 px-3 py-1.5 text-left text-[13.5px] hover:bg-ground columns:grid-cols-[64px_minmax(0,1fr)_minmax(0,1.6fr)_minmax(0,1.2fr)_16px_minmax(0,1.2fr)]"
      >
        <span className="text-ink2">{shortDate(one.message.received, now)}</span>
        <span className="truncate">
          <bdi>{one.message.sender}</bdi>
        </span>
        <span className="truncate font-semibold max-columns:col-start-2">
          <bdi>{one.message.subject || '(no subject)'}</bdi>
        </span>
        <span className="truncate text-ink2 max-columns:col-start-2" title={inWords(one.before)}>
          {inWords(one.before)}
        </span>
        <span aria-hidden="true" className="text-ink2 max-columns:hidden">
          {same ? '=' : '→'}
        </span>
        <span
          className={`truncate max-columns:col-start-2 ${same ? 'text-ink2' : ''}`}
          title={inWords(one.after)}
        >
          {same ? 'the same' : inWords(one.after)}
        </span>
      </button>
      {open && <Both rehearsal={rehearsal} message={one.message.id} />}
    </li>
  );
}

/** Why, by the rules of now and by the others. */
function Both({ rehearsal, message }: { rehearsal: string; message: number }) {
  const both = useBoth(rehearsal, message);
  if (both.isPending) {
    return <Loading what="Explaining" />;
  }
  if (both.isError) {
    return <Trouble text={problemText(both.error)} />;
  }
  return (
    <div className="grid gap-3 bg-ground px-3 py-2 text-sm columns:grid-cols-2">
      <Why title="by the rules of now" statements={both.data.before} />
      <Why title="by the others" statements={both.data.after} />
    </div>
  );
}

function Why({ title, statements }: { title: string; statements: { words: string }[] }) {
  return (
    <section aria-label={title}>
      <h4 className="font-semibold text-ink2">{title}</h4>
      <ul>
        {statements.map((one, i) => (
          <li key={i} className="break-words">
            {one.words}
          </li>
        ))}
      </ul>
    </section>
  );
}
