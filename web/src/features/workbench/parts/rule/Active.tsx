import { useState } from 'react';
import { Link } from 'react-router';
import { withMember } from '../../../../lib/members';
import type { Rule } from '../../../rules';
import { Choice } from '../../../../ui/Choice';
import { Recurs } from './Recurs';

type Schedule = NonNullable<Rule['active']>;
type Period = NonNullable<Schedule['further']>[number];

const ALWAYS: Schedule = { hours: 'always' };

interface Props {
  active: Schedule | undefined;
  opening: string[];
  /** Further hours by their names. */
  named: string[];
  /** Whether the mailbox has closed days. */
  closes: boolean;
  today: string;
  onChange: (active: Schedule | undefined) => void;
}

/** When a rule is active: by hours, from day to day, on days that recur, and on closed days. */
export function Active({ active, opening, named, closes, today, onChange }: Props) {
  const now = active ?? ALWAYS;
  const [opened] = useState(now.first);
  const [dated, setDated] = useState(now.first !== undefined || now.last !== undefined);
  const set = (changed: Schedule) => {
    const plain = Object.entries(changed).every(
      ([member, value]) => (member === 'hours' && value === 'always') || value === undefined,
    );
    onChange(plain ? undefined : changed);
  };
  const setDay = (which: 'first' | 'last', day: string) => {
    set(withMember(now, which, day || undefined));
  };
  const further = now.further ?? [];
  const setFurther = (periods: Period[]) =>
    set(withMember(now, 'further', periods.length === 0 ? undefined : periods));
  return (
    <span className="flex flex-wrap items-center gap-x-1.5 gap-y-1">
      Active
      <Choice
        label="active"
        value={now.of === undefined ? now.hours : `${now.hours} ${now.of}`}
        options={hoursToChoose(named, now)}
        onChoose={(chosen) => set(withHours(now, chosen, named))}
      />
      {now.hours !== 'always' && now.of === undefined && (
        <span title={opening.join(', ')}>({openingInBrief(opening)})</span>
      )}
      <Recurs
        rule={now.recurs?.rule ?? ''}
        onChange={(rule) =>
          set(withMember(now, 'recurs', rule === '' ? undefined : { rule, from: now.recurs?.from ?? today }))
        }
      />
      {(closes || now.closedDays !== undefined) && (
        <Choice
          label="closed days"
          value={now.closedDays ?? 'as hours are'}
          options={CLOSED}
          onChoose={(chosen) =>
            set(withMember(now, 'closedDays', chosen === 'as hours are' ? undefined : chosen))
          }
        />
      )}
      {dated ? (
        <>
          <Day label="from" value={now.first} onChange={(day) => setDay('first', day)} />
          <Day label="until" value={now.last} onChange={(day) => setDay('last', day)} />
          {further.map((period, i) => (
            <Further
              key={i}
              period={period}
              onChange={(changed) => setFurther(further.map((one, at) => (at === i ? changed : one)))}
              onRemove={() => setFurther(further.filter((_, at) => at !== i))}
            />
          ))}
          {now.first !== undefined && now.first !== opened && now.first < today && (
            <span className="text-clay">
              lies in the past: it acts on mail from now on, not on what came since
            </span>
          )}
          {(now.first !== undefined || now.last !== undefined) && (
            <button
              type="button"
              className="text-moss hover:underline"
              onClick={() => setFurther([...further, { first: today, last: today }])}
            >
              and again …
            </button>
          )}
        </>
      ) : (
        <button type="button" className="text-moss hover:underline" onClick={() => setDated(true)}>
          on certain days …
        </button>
      )}
      <Link className="text-moss hover:underline" to="/timetable?away=new">
        I’ll be away …
      </Link>
    </span>
  );
}

const CLOSED: { value: NonNullable<Schedule['closedDays']>; text: string }[] = [
  { value: 'as hours are', text: 'closed days as the hours have them' },
  { value: 'also', text: 'also on closed days' },
  { value: 'not', text: 'not on closed days' },
  { value: 'only', text: 'on closed days only' },
];

const SIDES = ['inside opening hours', 'outside opening hours'] as const;

function hoursToChoose(named: string[], now: Schedule) {
  const known = now.of === undefined || named.includes(now.of) ? named : [...named, now.of];
  return [
    { value: 'always', text: 'always' },
    ...SIDES.map((side) => ({ value: side as string, text: side as string })),
    ...known.flatMap((name) =>
      SIDES.map((side) => ({ value: `${side} ${name}`, text: `${side.split(' ')[0]} “${name}”` })),
    ),
  ];
}

function withHours(now: Schedule, chosen: string, named: string[]): Schedule {
  const side = SIDES.find((one) => chosen.startsWith(one));
  const name = named.find((one) => side !== undefined && chosen === `${side} ${one}`);
  return withMember({ ...now, hours: side ?? 'always' }, 'of', name);
}

interface FurtherProps {
  period: Period;
  onChange: (period: Period) => void;
  onRemove: () => void;
}

function Further({ period, onChange, onRemove }: FurtherProps) {
  return (
    <span className="flex flex-wrap items-center gap-1.5">
      and
      <Day
        label="from"
        value={period.first}
        onChange={(day) => onChange(withMember(period, 'first', day || undefined))}
      />
      <Day
        label="until"
        value={period.last}
        onChange={(day) => onChange(withMember(period, 'last', day || undefined))}
      />
      <button
        type="button"
        className="text-moss hover:underline"
        aria-label="remove this period"
        onClick={onRemove}
      >
        remove
      </button>
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
