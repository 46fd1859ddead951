import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../../api/client';
import { inZone } from '../../../lib/dates';
import { Button } from '../../../ui/Button';
import type { Rule } from '../../rules';
import { movable, newDays, type Days } from '../model';
import { PeriodBar } from './PeriodBar';
import { Bars, Row } from './Row';

interface Props {
  row: Schemas['RuleRow'];
  rule: Rule | undefined;
  table: Schemas['TimetableView'];
  /** Days that are not saved yet. */
  changed: Days[] | undefined;
  from: string;
  shown: number;
  today: string;
  behind: ReactNode;
  onChange: (days: Days[]) => void;
  onSave: (days: Days[]) => void;
  onDiscard: () => void;
}

/** When a rule is active; its periods can be moved, and a rule whose time is over gets a new one. */
export function RuleRow(props: Props) {
  const { row, rule, table, changed, behind, onChange } = props;
  const periods = changed ?? movable(rule);
  return (
    <Row
      name={
        <Link className="hover:underline" to={`/rules/${row.rule}`}>
          {row.name}
        </Link>
      }
      told={row.on ? row.told.words : `paused · ${row.told.words}`}
      next={changed ? <NotSavedYet {...props} days={changed} /> : <Next {...props} />}
    >
      {behind}
      {periods.length === 0 ? (
        <Bars spans={row.spans} from={table.from} until={table.until} look={row.on ? 'rule' : 'paused'} />
      ) : (
        periods.map((days, i) => (
          <PeriodBar
            key={i}
            name={row.name}
            days={days}
            from={props.from}
            shown={props.shown}
            changed={changed !== undefined}
            onChange={(moved) => onChange(replaced(periods, i, moved))}
          />
        ))
      )}
    </Row>
  );
}

function replaced(periods: Days[], at: number, days: Days): Days[] {
  return periods.map((one, i) => (i === at ? days : one));
}

function Next({ row, rule, table, today, onChange }: Props) {
  const isOver = row.on && !row.active && row.next === undefined;
  const days = isOver ? newDays(rule, today) : [];
  return (
    <>
      {nextInWords(row, table.zone)}
      {days.length > 0 && (
        <Button small look="quiet" className="block" onClick={() => onChange(days)}>
          Give it new days
        </Button>
      )}
    </>
  );
}

function NotSavedYet({ row, days, onChange, onSave, onDiscard }: Props & { days: Days[] }) {
  const input = 'h-[24px] min-w-0 rounded border border-line bg-transparent px-1 text-[12.5px] text-ink';
  return (
    <span className="grid gap-1.5 text-ink">
      {days.map(({ first, last }, i) => (
        <span key={i} className="grid grid-cols-2 gap-1">
          <input
            type="date"
            aria-label={`first day of ${row.name}`}
            className={input}
            value={first}
            onChange={(e) =>
              e.target.value && onChange(replaced(days, i, ordered(e.target.value, last, 'first')))
            }
          />
          <input
            type="date"
            aria-label={`last day of ${row.name}`}
            className={input}
            value={last}
            onChange={(e) =>
              e.target.value && onChange(replaced(days, i, ordered(first, e.target.value, 'last')))
            }
          />
        </span>
      ))}
      <span className="flex gap-1.5">
        <Button small look="go" onClick={() => onSave(days)}>
          Save
        </Button>
        <Button small look="quiet" onClick={onDiscard}>
          Discard
        </Button>
      </span>
    </span>
  );
}

/** The day that was set stands, and the other one goes along. */
function ordered(first: string, last: string, set: keyof Days): Days {
  return first <= last ? { first, last } : set === 'first' ? { first, last: first } : { first: last, last };
}

function nextInWords({ on, active, next }: Schemas['RuleRow'], zone: string): string {
  if (!on) {
    return 'paused';
  }
  if (next === undefined) {
    return active ? 'active from now on' : 'over: it never becomes active again';
  }
  return active ? `active until ${inZone(next, zone)}` : `rests until ${inZone(next, zone)}`;
}
