import { useState } from 'react';
import { withMember } from '../../../../lib/members';
import type { Rule } from '../../../rules';
import { Choice } from '../../../../ui/Choice';

type Schedule = NonNullable<Rule['active']>;
type Hours = Schedule['hours'];

const ALWAYS: Schedule = { hours: 'always' };

interface Props {
  active: Schedule | undefined;
  opening: string[];
  onChange: (active: Schedule | undefined) => void;
}

/** When a rule is active: by opening hours, and from day to day. */
export function Active({ active, opening, onChange }: Props) {
  const now = active ?? ALWAYS;
  const [dated, setDated] = useState(now.first !== undefined || now.last !== undefined);
  const set = (changed: Schedule) => {
    const plain = changed.hours === 'always' && !changed.first && !changed.last;
    onChange(plain ? undefined : changed);
  };
  const setDay = (which: 'first' | 'last', day: string) => {
    set(withMember(now, which, day || undefined));
  };
  return (
    <span className="flex flex-wrap items-center gap-x-1.5 gap-y-1">
      Active
      <Choice
        label="active"
        value={now.hours}
        options={[
          { value: 'always' as Hours, text: 'always' },
          { value: 'inside opening hours' as Hours, text: 'inside opening hours' },
          { value: 'outside opening hours' as Hours, text: 'outside opening hours' },
        ]}
        onChoose={(hours) => set({ ...now, hours })}
      />
      {now.hours !== 'always' && <span title={opening.join(', ')}>({openingInBrief(opening)})</span>}
      {dated ? (
        <>
          <Day label="from" value={now.first} onChange={(day) => setDay('first', day)} />
          <Day label="until" value={now.last} onChange={(day) => setDay('last', day)} />
        </>
      ) : (
        <button type="button" className="text-moss hover:underline" onClick={() => setDated(true)}>
          on certain days …
        </button>
      )}
    </span>
  );
}

function Day({
  label,
  value,
  onChange,
}: {
  label: string;
  value: string | undefined;
  onChange: (day: string) => void;
}) {
  return (
    <label className="flex items-center gap-1">
      {label}
      <input
        type="date"
        className={`h-[24px] rounded border border-line bg-transparent px-1 text-[12.5px] ${value ? 'text-ink' : 'text-ink2'}`}
        value={value ?? ''}
        onChange={(e) => onChange(e.target.value)}
      />
    </label>
  );
}

/** "MONDAY 09:00-17:00", … as "Mon–Fri 9:00–17:00" where all days are alike, else as how many spans there are. */
export function openingInBrief(opening: string[]): string {
  const spans = opening.map((span) => span.split(' ') as [string, string]);
  const times = new Set(spans.map(([, time]) => time));
  const first = spans[0];
  const last = spans.at(-1);
  if (!first || !last || times.size > 1) {
    return `${opening.length} spans a week`;
  }
  const short = (day: string) => day.charAt(0) + day.slice(1, 3).toLowerCase();
  const days = first === last ? short(first[0]) : `${short(first[0])}–${short(last[0])}`;
  return `${days} ${first[1].replace('-', '–').replace(/\b0(?=\d:)/g, '')}`;
}
