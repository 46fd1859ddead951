import { useEffect, useState, type ReactNode } from 'react';
import type { Schemas } from '../../../../api/client';
import { problemText } from '../../../../api/problem';
import { localTime } from '../../../../lib/dates';
import { withMember } from '../../../../lib/members';
import { Button } from '../../../../ui/Button';
import { Choice } from '../../../../ui/Choice';
import { Trouble } from '../../../../ui/States';
import { wouldBe } from '../../../incoming';
import { KeepAs, SENT_BY } from '../../../trials';
import type { Asked } from '../../model';
import { useSampleMessage } from '../../queries';
import { Leaving } from './Leaving';

type Sample = Schemas['SampleMessage'];

interface Props {
  asked: Asked | undefined;
  order: number;
  sample: Sample;
  onChange: (sample: Sample) => void;
  onClose: () => void;
}

/** A message that never came, decided while it is written, with what would leave; nothing is done with it. */
export function SampleMessage({ asked, order, sample, onChange, onClose }: Props) {
  const decided = useSampleMessage(asked?.rule, order, useSettled(sample));
  const set = (change: Partial<Sample>) => onChange({ ...sample, ...change });
  return (
    <section
      aria-label="A sample message"
      className="max-h-[70%] shrink-0 overflow-auto border-b border-line bg-sheet px-3 py-2"
    >
      <div className="flex items-center gap-2">
        <h3 className="grow font-bold">A sample message</h3>
        {asked && (
          <KeepAs name={sample.subject || 'A sample message'} of={{ rule: asked.rule, order, sample }} />
        )}
        <Button small look="quiet" onClick={onClose}>
          Close
        </Button>
      </div>
      <div className="mt-1 grid grid-cols-[64px_minmax(0,1fr)_64px_minmax(0,1fr)] items-center gap-1.5 text-sm">
        <Line label="from">
          <Input id="sample-from" value={sample.from} onChange={(from) => set({ from })} />
        </Line>
        <Line label="to">
          <Input id="sample-to" value={sample.to} onChange={(to) => set({ to })} />
        </Line>
        <Line label="subject">
          <Input
            id="sample-subject"
            className="col-span-3"
            value={sample.subject}
            onChange={(subject) => set({ subject })}
          />
        </Line>
        <Line label="text">
          <textarea
            id="sample-text"
            rows={2}
            className="col-span-3 rounded border border-line2 bg-transparent px-1.5 py-0.5"
            value={sample.text}
            onChange={(e) => set({ text: e.target.value })}
          />
        </Line>
        <More sample={sample} onChange={onChange} />
      </div>
      {decided.isError && <Trouble text={problemText(decided.error)} />}
      {decided.data && <Decided view={decided.data} own={asked?.rule.id} />}
    </section>
  );
}

/** The message once typing has paused. */
function useSettled(sample: Sample): Sample {
  const [settled, setSettled] = useState(sample);
  const written = JSON.stringify(sample);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(JSON.parse(written) as Sample), 150);
    return () => clearTimeout(timer);
  }, [written]);
  return settled;
}

/** How it was sent, what goes with it, and when it comes in. */
function More({ sample, onChange }: { sample: Sample; onChange: (sample: Sample) => void }) {
  return (
    <>
      <span className="text-ink2">sent</span>
      <span>
        <Choice
          label="how it was sent"
          value={sample.sentBy ?? 'A_PERSON'}
          options={SENT_BY}
          onChoose={(by) => onChange(withMember(sample, 'sentBy', by === 'A_PERSON' ? undefined : by))}
        />
      </span>
      <Line label="comes in" id="received">
        <input
          id="sample-received"
          type="datetime-local"
          className="h-[26px] min-w-0 rounded border border-line2 bg-transparent px-1.5"
          value={sample.received === undefined ? '' : localTime(sample.received)}
          onChange={(e) =>
            onChange(
              withMember(
                sample,
                'received',
                e.target.value ? new Date(e.target.value).toISOString() : undefined,
              ),
            )
          }
        />
      </Line>
      <Line label="attached" id="attachment">
        <Input
          id="sample-attachment"
          placeholder="a file’s name, such as plan.pdf"
          value={sample.attachment ?? ''}
          onChange={(name) => onChange(withMember(sample, 'attachment', name || undefined))}
        />
      </Line>
    </>
  );
}

function Line({ label, id = label, children }: { label: string; id?: string; children: ReactNode }) {
  return (
    <>
      <label htmlFor={`sample-${id}`} className="self-start pt-1 text-ink2">
        {label}
      </label>
      {children}
    </>
  );
}

interface InputProps {
  id: string;
  value: string;
  placeholder?: string;
  className?: string;
  onChange: (value: string) => void;
}

function Input({ id, value, placeholder, className = '', onChange }: InputProps) {
  return (
    <input
      id={id}
      className={`h-[26px] min-w-0 rounded border border-line2 bg-transparent px-1.5 ${className}`}
      placeholder={placeholder}
      value={value}
      onChange={(e) => onChange(e.target.value)}
    />
  );
}

function Decided({ view, own }: { view: Schemas['ExplainView']; own: string | undefined }) {
  const mine = view.rules.find((line) => line.rule === own);
  const others = view.rules.filter((line) => line.picked && line.rule !== own);
  return (
    <div role="status" className="mt-1.5 text-sm">
      {mine && (
        <p className={`first-letter:uppercase ${mine.picked ? 'text-moss' : 'text-ink2'}`}>
          {mine.outcome.words}.{' '}
          {mine.hits.length > 0 && <>It has {mine.hits.map((hit) => `“${hit}”`).join(', ')}.</>}
        </p>
      )}
      {others.length > 0 && (
        <p className="text-ink2">Also picked by {others.map((line) => `“${line.name}”`).join(', ')}.</p>
      )}
      <p className="text-ink2">
        {wouldBe(view.done, view.notDone)}{' '}
        {view.staysInInbox ? 'It would stay in the inbox.' : 'It would leave the inbox.'}
      </p>
      {view.leaving.map((one) => (
        <Leaving key={`${one.kind} ${one.to}`} {...one} />
      ))}
    </div>
  );
}
