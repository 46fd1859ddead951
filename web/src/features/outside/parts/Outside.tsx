import { useState } from 'react';
import { problemText } from '../../../api/problem';
import type { Schemas } from '../../../api/client';
import { Empty, Loading, Trouble } from '../../../ui/States';
import { Sheet } from '../../../ui/Sheet';
import { useBoxes, useLetters, useRaw, useText, type LetterAt } from '../queries';
import { DemoClock } from './DemoClock';
import { IncomingTraffic } from './IncomingTraffic';
import { WriteLetter } from './WriteLetter';
import { ShortDate } from '../../mailbox';

const OWN = '@ostrel-gardens.example';

/** The simulated world around Ostrel Gardens. */
export function Outside() {
  const boxes = useBoxes();
  const [address, setAddress] = useState<string>();
  const [letter, setLetter] = useState<LetterAt>();
  const inside = (boxes.data ?? []).filter((box) => box.address.endsWith(OWN));
  const outside = (boxes.data ?? []).filter((box) => !box.address.endsWith(OWN));
  const chosen = address ?? inside.find((box) => box.address.startsWith('education'))?.address;
  return (
    <section data-region aria-label="Outside" className="flex h-full min-h-0 flex-col">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b-2 border-dashed border-lake px-4 py-2.5">
        <h1 className="text-lg font-bold">Outside</h1>
        <span className="grow text-sm text-ink2">
          A simulation: invented people and mailboxes on this machine. Nothing leaves it.
        </span>
        <IncomingTraffic />
        <DemoClock />
      </div>
      {boxes.isError && (
        <div className="p-4">
          <Trouble text={problemText(boxes.error)} onRetry={() => void boxes.refetch()} />
        </div>
      )}
      <div className="flex min-h-0 grow flex-col overflow-auto columns:flex-row">
        <div className="shrink-0 overflow-auto border-r border-line bg-sheet px-4 py-3 columns:w-[280px]">
          <h2 className="mb-2 font-bold">Write as anybody</h2>
          <WriteLetter />
          <Special />
        </div>
        <nav
          aria-label="Simulated mailboxes"
          className="max-h-64 shrink-0 overflow-auto border-r border-line py-3 columns:max-h-none columns:w-[290px] max-columns:border-t"
        >
          <BoxList title="Ostrel Gardens" boxes={inside} chosen={chosen} onChoose={setAddress} />
          <BoxList title="Outside Ostrel Gardens" boxes={outside} chosen={chosen} onChoose={setAddress} />
        </nav>
        <Letters address={chosen} onOpen={setLetter} />
      </div>
      <RawSheet at={letter} onClose={() => setLetter(undefined)} />
    </section>
  );
}

/** What the simulated post office does by itself. */
function Special() {
  return (
    <details className="mt-4 text-sm text-ink2">
      <summary className="cursor-pointer font-semibold">Addresses that do something by themselves</summary>
      <ul className="mt-1 grid gap-1">
        <li>
          <b>person.…@</b> answers each sender once
        </li>
        <li>
          <b>away.…@</b> has an automatic reply that keeps to the standard
        </li>
        <li>
          <b>answers.…@</b> is a program that answers every message
        </li>
        <li>
          <b>gone.…@</b> takes nothing, and it comes back
        </li>
        <li>
          <b>late.…@</b> takes it late, and says so
        </li>
      </ul>
    </details>
  );
}

interface BoxListProps {
  title: string;
  boxes: Schemas['Box'][];
  chosen: string | undefined;
  onChoose: (address: string) => void;
}

function BoxList({ title, boxes, chosen, onChoose }: BoxListProps) {
  return (
    <>
      <h2 className="px-4 pt-1 pb-1 text-sm font-semibold text-ink2">{title}</h2>
      {boxes.length === 0 && <p className="px-4 pb-3 text-sm text-ink2">Nobody has received anything yet.</p>}
      <ul className="mb-3">
        {boxes.map((box) => (
          <li key={box.address}>
            <button
              type="button"
              aria-current={box.address === chosen}
              className={`flex w-full items-baseline gap-2 px-4 py-1 text-left ${box.address === chosen ? 'bg-sheet font-semibold text-moss' : ''}`}
              onClick={() => onChoose(box.address)}
            >
              <span className="min-w-0 grow truncate">{box.address}</span>
              <span className="figures text-sm text-ink2">{box.messages}</span>
            </button>
          </li>
        ))}
      </ul>
    </>
  );
}

function Letters({ address, onOpen }: { address: string | undefined; onOpen: (at: LetterAt) => void }) {
  const letters = useLetters(address);
  if (address === undefined) {
    return <Empty>Choose a mailbox to see what it received.</Empty>;
  }
  return (
    <div className="min-w-0 grow overflow-auto bg-sheet">
      <h2 className="px-4 py-2 font-bold break-words">{address}</h2>
      {letters.isPending && <Loading what="Loading the mailbox" />}
      {letters.data?.length === 0 && <Empty>This mailbox has received nothing.</Empty>}
      <ul aria-label={`Mail of ${address}`}>
        {letters.data?.map((letter) => (
          <li key={`${letter.folder}/${letter.uid}`} className="border-t border-line">
            <button
              type="button"
              className="grid w-full grid-cols-[60px_minmax(0,1fr)_110px] gap-3 px-4 py-1.5 text-left hover:bg-ground"
              onClick={() => onOpen({ address, folder: letter.folder, uid: letter.uid })}
            >
              <span className="figures text-sm text-ink2">
                <ShortDate of={letter.received} />
              </span>
              <span className="min-w-0">
                <span className={`block truncate ${letter.unread ? 'font-semibold' : ''}`}>
                  {letter.subject || '(no subject)'}
                </span>
                <span className="block truncate text-sm text-ink2">from {letter.from}</span>
              </span>
              <span className="truncate text-right text-sm text-ink2">
                {letter.folder === 'INBOX' ? 'inbox' : letter.folder}
                {letter.flagged && <span className="block text-clay">flagged</span>}
              </span>
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}

function RawSheet({ at, onClose }: { at: LetterAt | undefined; onClose: () => void }) {
  const raw = useRaw(at);
  const text = useText(at).data ?? '';
  return (
    <Sheet title="The message as received" open={at !== undefined} onClose={onClose} wide>
      {raw.isPending && <Loading what="Loading the source" />}
      {raw.isError && <Trouble text={problemText(raw.error)} />}
      {raw.data !== undefined && (
        <>
          <h3 className="text-sm font-semibold text-ink2">What it says</h3>
          <p className="mb-2 break-words whitespace-pre-wrap">{text}</p>
          {ownLinks(text).map((link) => (
            <p key={link} className="mb-2">
              <a
                className="font-semibold text-moss hover:underline"
                href={link}
                target="_blank"
                rel="noreferrer"
              >
                Open the page that it links to
              </a>
            </p>
          ))}
          <h3 className="border-t border-line pt-2 text-sm font-semibold text-ink2">Its source</h3>
          <pre className="font-mono text-sm break-words whitespace-pre-wrap">{raw.data}</pre>
        </>
      )}
    </Sheet>
  );
}

/** What Jubek serves without signing in. */
const PAGES = ['/agree/', '/handed-on/', '/stand-in/'];

/** Links to Jubek's own pages. */
function ownLinks(text: string): string[] {
  const found = text
    .split(/\s/)
    .filter((word) => PAGES.some((page) => word.startsWith(`${window.location.origin}${page}`)));
  return [...new Set(found)];
}
