import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { Glyph } from '../../ui/glyphs';
import { switchMailbox } from '../mailbox';
import { useSession } from '../session';
import { useNotices } from './queries';
import { playSound } from './sounds';

type Notice = Schemas['NoticeView'];

const MOST = 4;

/** What rules of any mailbox tell about, in a corner until it is closed, whichever is the current one. */
export function Notices() {
  const mailboxes = useSession().data?.mailboxes ?? [];
  return (
    <section
      aria-label="Notices"
      aria-live="polite"
      className="fixed right-3 bottom-20 z-30 grid w-80 max-w-[94vw] grid-cols-[minmax(0,1fr)] gap-2"
    >
      {mailboxes.map((one) => (
        <NoticesOf key={one.id} mailbox={one.id} address={mailboxes.length > 1 ? one.address : undefined} />
      ))}
    </section>
  );
}

interface Props {
  mailbox: string;
  /** Said where there is more than one. */
  address: string | undefined;
}

/** Outside the page, too, where the browser allows it. */
function NoticesOf({ mailbox, address }: Props) {
  const fresh = useNotices(mailbox);
  const told = useRef(0);
  const [open, setOpen] = useState<Notice[]>([]);
  useEffect(() => {
    const news = fresh.filter((notice) => notice.id > told.current);
    const newest = news.at(-1);
    if (newest === undefined) {
      return;
    }
    told.current = newest.id;
    setOpen((now) => [...now, ...news].slice(-MOST));
    playSound(newest.sound as Parameters<typeof playSound>[0]);
    if (typeof Notification !== 'undefined' && Notification.permission === 'granted' && document.hidden) {
      new Notification(newest.message.subject || '(no subject)', { body: newest.message.sender });
    }
  }, [fresh]);
  const mayAsk = typeof Notification !== 'undefined' && Notification.permission === 'default';
  return (
    <>
      {open.map((notice) => (
        <div key={notice.id} className="rounded-md border border-line2 bg-sheet px-3 py-2 shadow-lg">
          <p className="flex items-center gap-1.5 text-sm text-ink2">
            <Glyph of="NOTIFY" />
            <span className="grow truncate">“{notice.rule}”</span>
            <Button small look="quiet" onClick={() => setOpen(open.filter((one) => one !== notice))}>
              Close
            </Button>
          </p>
          <Link
            className="block truncate font-semibold hover:underline"
            to={`/incoming/${notice.message.id}`}
            onClick={() => switchMailbox(mailbox)}
          >
            {notice.message.subject || '(no subject)'}
          </Link>
          <p className="truncate text-sm">
            {notice.message.sender}
            {address !== undefined && <span className="text-ink2"> · to {address}</span>}
          </p>
          {mayAsk && (
            <Button
              small
              look="quiet"
              className="-ml-2"
              onClick={() => void Notification.requestPermission()}
            >
              Also notify me outside this page
            </Button>
          )}
        </div>
      ))}
    </>
  );
}
