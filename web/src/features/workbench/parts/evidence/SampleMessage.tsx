import { wouldBe } from '../../../incoming';
import { useEffect, useState } from 'react';
import type { Schemas } from '../../../../api/client';
import { problemText } from '../../../../api/problem';
import { Button } from '../../../../ui/Button';
import { Trouble } from '../../../../ui/States';
import { useSampleMessage } from '../../queries';
import type { Asked } from '../../model';

export interface Letter {
  from: string;
  to: string;
  subject: string;
  text: string;
}

interface Props {
  asked: Asked | undefined;
  order: number;
  begin: Letter;
  onClose: () => void;
}

/** A message that never came, decided while it is written; nothing is done with it. */
export function SampleMessage({ asked, order, begin, onClose }: Props) {
  const [letter, setLetter] = useState(begin);
  const [settled, setSettled] = useState(begin);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(letter), 150);
    return () => clearTimeout(timer);
  }, [letter]);
  const decided = useSampleMessage(asked?.rule, order, settled);
  const set = (change: Partial<Letter>) => setLetter({ ...letter, ...change });
  return (
    <section aria-label="A sample message" className="border-b border-line bg-sheet px-3 py-2">
      <div className="flex items-center gap-2">
        <h3 className="grow font-bold">A sample message</h3>
        <Button small look="quiet" onClick={onClose}>
          Close
        </Button>
      </div>
      <div className="mt-1 grid grid-cols-[64px_minmax(0,1fr)_40px_minmax(0,1fr)] items-center gap-1.5 text-sm">
        <Line label="from" value={letter.from} onChange={(from) => set({ from })} />
        <Line label="to" value={letter.to} onChange={(to) => set({ to })} />
        <label htmlFor="sample-subject" className="text-ink2">
          subject
        </label>
        <input
          id="sample-subject"
          className="col-span-3 h-[26px] rounded border border-line2 bg-transparent px-1.5"
          value={letter.subject}
          onChange={(e) => set({ subject: e.target.value })}
        />
        <label htmlFor="sample-text" className="self-start text-ink2">
          text
        </label>
        <textarea
          id="sample-text"
          rows={2}
          className="col-span-3 rounded border border-line2 bg-transparent px-1.5 py-0.5"
          value={letter.text}
          onChange={(e) => set({ text: e.target.value })}
        />
      </div>
      {decided.isError && <Trouble text={problemText(decided.error)} />}
      {decided.data && <Decided view={decided.data} own={asked?.rule.id} />}
    </section>
  );
}

function Line({
  label,
  value,
  onChange,
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
}) {
  return (
    <>
      <label htmlFor={`sample-${label}`} className="text-ink2">
        {label}
      </label>
      <input
        id={`sample-${label}`}
        className="h-[26px] min-w-0 rounded border border-line2 bg-transparent px-1.5"
        value={value}
        onChange={(e) => onChange(e.target.value)}
      />
    </>
  );
}

function Decided({ view, own }: { view: Schemas['ExplainView']; own: string | undefined }) {
  const mine = view.rules.find((line) => line.rule === own);
  const others = view.rules.filter((line) => line.picked && line.rule !== own);
  return (
    <div role="status" className="mt-1.5 text-sm">
      {mine && (
        <p className={`first-letter:uppercase ${mine.picked ? 'text-moss' : 'text-ink2'}`}>
          {mine.outcome.words}.
        </p>
      )}
      {others.length > 0 && (
        <p className="text-ink2">Also picked by {others.map((line) => `“${line.name}”`).join(', ')}.</p>
      )}
      <p className="text-ink2">
        {wouldBe(view.done, view.notDone)}{' '}
        {view.staysInInbox ? 'It would stay in the inbox.' : 'It would leave the inbox.'}
      </p>
    </div>
  );
}
