import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { Glyph } from '../../ui/glyphs';
import { useNotices } from './queries';
import { playSound } from './sounds';

type Notice = Schemas['NoticeView'];

const MOST = 4;

/** What rules tell about, in a corner until it is closed; outside the page, too, where the browser allows it. */
export function Notices() {
  const fresh = useNotices();
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
    <section
      aria-label="Notices"
      aria-live="polite"
      className="fixed right-3 bottom-3 z-30 grid w-80 max-w-[94vw] gap-2"
    >
      {open.map((notice) => (
        <div key={notice.id} className="rounded-md border border-line2 bg-sheet px-3 py-2 shadow-lg">
          <p className="flex items-center gap-1.5 text-sm text-ink2">
            <Glyph of="TELL" />
            <span className="grow truncate">“{notice.rule}”</span>
            <Button small look="quiet" onClick={() => setOpen(open.filter((one) => one !== notice))}>
              close
            </Button>
          </p>
          <Link
            className="block truncate font-semibold hover:underline"
            to={`/incoming/${notice.message.id}`}
          >
            {notice.message.subject || '(no subject)'}
          </Link>
          <p className="truncate text-sm">{notice.message.sender}</p>
          {mayAsk && (
            <Button
              small
              look="quiet"
              className="-ml-2"
              onClick={() => void Notification.requestPermission()}
            >
              tell me outside this page, too
            </Button>
          )}
        </div>
      ))}
    </section>
  );
}
