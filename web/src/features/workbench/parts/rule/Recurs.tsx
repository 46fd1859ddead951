import { Choice } from '../../../../ui/Choice';
import {
  BEGUN,
  DAYS_OF_MONTH,
  MONTHS,
  NTH,
  read,
  toggled,
  WEEKDAYS,
  written,
  type Recurring,
} from '../../recurrence';

interface Props {
  /** As RFC 5545 writes it; empty for every day. */
  rule: string;
  onChange: (rule: string) => void;
}

const KINDS: { value: Recurring['kind'] | 'every day'; text: string }[] = [
  { value: 'every day', text: 'every day' },
  { value: 'weekdays', text: 'on days of the week' },
  { value: 'weekday of month', text: 'on one weekday of the month' },
  { value: 'day of month', text: 'on one day of the month' },
  { value: 'months', text: 'in certain months' },
];

/** On which days a rule is active, as far as they come again. */
export function Recurs({ rule, onChange }: Props) {
  const now = rule === '' ? undefined : read(rule);
  const kinds =
    now?.kind === 'as written' ? [...KINDS, { value: now.kind, text: `as “${rule}” says` }] : KINDS;
  return (
    <>
      <Choice
        label="days"
        value={now?.kind ?? 'every day'}
        options={kinds}
        onChoose={(kind) => {
          if (kind === 'every day') {
            onChange('');
          } else if (kind !== 'as written') {
            onChange(written(BEGUN[kind]));
          }
        }}
      />
      {now?.kind === 'weekdays' && (
        <Several
          label="days of the week"
          all={WEEKDAYS}
          chosen={now.days}
          onChange={(days) => onChange(written({ ...now, days }))}
        />
      )}
      {now?.kind === 'weekday of month' && (
        <>
          <Choice
            label="which one"
            value={now.nth}
            options={NTH}
            onChoose={(nth) => onChange(written({ ...now, nth }))}
          />
          <Choice
            label="weekday"
            value={now.day}
            options={WEEKDAYS}
            onChoose={(day) => onChange(written({ ...now, day }))}
          />
        </>
      )}
      {now?.kind === 'day of month' && (
        <Choice
          label="day of the month"
          value={now.number}
          options={DAYS_OF_MONTH}
          onChoose={(number) => onChange(written({ ...now, number }))}
        />
      )}
      {now?.kind === 'months' && (
        <Several
          label="months"
          all={MONTHS}
          chosen={now.months}
          onChange={(months) => onChange(written({ ...now, months }))}
        />
      )}
    </>
  );
}

interface SeveralProps {
  label: string;
  all: { value: string; text: string }[];
  chosen: string[];
  onChange: (chosen: string[]) => void;
}

function Several({ label, all, chosen, onChange }: SeveralProps) {
  return (
    <span role="group" aria-label={label} className="flex flex-wrap gap-1">
      {all.map(({ value, text }) => (
        <button
          key={value}
          type="button"
          aria-pressed={chosen.includes(value)}
          aria-label={text}
          className="rounded border border-line px-1 text-ink2 aria-pressed:border-moss aria-pressed:bg-moss-soft aria-pressed:font-semibold aria-pressed:text-ink"
          onClick={() => onChange(toggled(chosen, value, all))}
        >
          {text.slice(0, 3)}
        </button>
      ))}
    </span>
  );
}
