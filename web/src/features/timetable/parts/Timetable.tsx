import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { problemText } from '../../../api/problem';
import type { Schemas } from '../../../api/client';
import { dayOfYear, inZone, weekday } from '../../../lib/dates';
import { Button } from '../../../ui/Button';
import { Loading, Trouble } from '../../../ui/States';
import { useMailboxId, useToday } from '../../mailbox';
import { AbsencePanel, ReturnSummary, usePanel, type Panel } from '../../absence';
import { NotSaved, useRuleBook, useSaving, type Rule } from '../../rules';
import {
  columns,
  monday,
  newDays,
  plusDays,
  VIEWS,
  withDays,
  type Days as Period,
  type View,
} from '../model';
import { useTimetable } from '../queries';
import { AwayRow } from './AwayRow';
import { RuleRow } from './RuleRow';
import { Bars, Days, Row } from './Row';

/** When rules are active, hours open and days closed. */
export function Timetable() {
  const today = useToday();
  const [view, setView] = useState<View>('six weeks');
  const [by, setBy] = useState(0);
  const days = VIEWS[view];
  const step = view === 'year' ? 364 : days;
  const from = plusDays(monday(today), by * step);
  const table = useTimetable(from, days);
  const book = useRuleBook();
  const panel = usePanel();
  const mailbox = useMailboxId();
  if (table.isPending || book.isPending) {
    return <Loading what="Loading the timetable" />;
  }
  if (table.isError || book.isError) {
    const failed = table.isError ? table : book;
    return (
      <div className="p-4">
        <Trouble text={problemText(failed.error)} onRetry={() => void failed.refetch()} />
      </div>
    );
  }
  return (
    <section data-region aria-label="Timetable" className="min-h-0 overflow-auto px-4 py-3.5">
      <div className="mb-2.5 flex flex-wrap items-center gap-2">
        <h1 className="grow text-lg font-bold">Timetable</h1>
        {(Object.keys(VIEWS) as View[]).map((one) => (
          <Button
            key={one}
            small
            look={one === view ? 'go' : 'plain'}
            aria-pressed={one === view}
            onClick={() => {
              setView(one);
              setBy(0);
            }}
          >
            {one.charAt(0).toUpperCase() + one.slice(1)}
          </Button>
        ))}
        <Button small look="quiet" aria-label="earlier" onClick={() => setBy(by - 1)}>
          ‹
        </Button>
        <Button small onClick={() => setBy(0)}>
          Today
        </Button>
        <Button small look="quiet" aria-label="later" onClick={() => setBy(by + 1)}>
          ›
        </Button>
        <Button small look="go" onClick={() => panel.show(undefined)}>
          I’ll be away …
        </Button>
      </div>
      <Table
        table={table.data}
        book={book.data}
        days={columns(from, view)}
        today={today}
        isStale={table.isPlaceholderData}
        panel={panel}
      />
      <p className="mt-2 text-sm">
        <a
          className="font-semibold text-moss hover:underline"
          href={`/api/mailboxes/${mailbox}/timetable/calendar`}
          download
        >
          Save as a calendar file
        </a>
      </p>
      {panel.form && (
        <AbsencePanel
          key={panel.open?.id}
          absence={panel.open}
          form={panel.form}
          onChange={panel.change}
          onClose={panel.close}
        />
      )}
      {panel.back !== undefined && <ReturnSummary id={panel.back} onClose={panel.close} />}
    </section>
  );
}

interface TableProps {
  table: Schemas['TimetableView'];
  book: { version: number; document: { rules: Rule[] } & Schemas['RuleBook'] };
  days: ReturnType<typeof columns>;
  today: string;
  isStale: boolean;
  panel: Panel;
}

interface Changed {
  rule: string;
  days: Period[];
}

/** The rule for which the address asks new days. */
function useAsked(rules: Map<string, Rule>, today: string): Changed | undefined {
  const [params] = useSearchParams();
  const rule = params.get('days') ?? '';
  const days = rules.has(rule) ? newDays(rules.get(rule), today) : [];
  return days.length > 0 ? { rule, days } : undefined;
}

function Table({ table, book, days, today, isStale, panel }: TableProps) {
  const rules = new Map(book.document.rules.map((rule) => [rule.id, rule]));
  const [changed, setChanged] = useState(useAsked(rules, today));
  const saving = useSaving(book);
  const now = share(table.now, table);
  const closed = new Set(table.closed.flatMap((calendar) => calendar.days.map(({ day }) => day)));
  const behind = <Days days={days} closed={closed} now={now} />;
  const from = days[0]?.day ?? today;
  const save = (row: Schemas['RuleRow'], periods: Period[]) => {
    const told = periods.map(({ first, last }) => `${dayOfYear(first, today)} to ${dayOfYear(last, today)}`);
    saving.save(
      withDays(book.document.rules, row.rule, periods),
      `“${row.name}” is active from ${told.join(', and ')}.`,
    );
    setChanged(undefined);
  };
  return (
    <>
      <NotSaved saving={saving} />
      <p aria-live="polite" className="sr-only">
        {changed &&
          `${changed.days.map(({ first, last }) => `from ${first} to ${last}`).join(', ')}, not saved yet`}
      </p>
      <div
        role="table"
        aria-label="Timetable"
        aria-busy={isStale}
        className="rounded border border-line bg-sheet"
      >
        <Head days={days} zone={table.zone} />
        <AwayRow panel={panel} days={days.map(({ day }) => day)} behind={behind} />
        {table.rules.length === 0 && (
          <p className="border-t border-line px-3 py-2 text-ink2">
            No rule goes by hours or days. Open a rule and choose when it is active, at the end of its left
            side.
          </p>
        )}
        {table.rules.map((row) => (
          <RuleRow
            key={row.rule}
            row={row}
            rule={rules.get(row.rule)}
            table={table}
            changed={changed?.rule === row.rule ? changed.days : undefined}
            from={from}
            shown={days.length}
            today={today}
            behind={behind}
            onChange={(moved) => setChanged({ rule: row.rule, days: moved })}
            onSave={(periods) => save(row, periods)}
            onDiscard={() => setChanged(undefined)}
          />
        ))}
        {table.hours.map((row) => (
          <Row
            key={row.name}
            name={row.name === '' ? 'Opening hours' : row.name}
            told={row.zone === table.zone ? 'hours' : `hours in ${row.zone}`}
            next={
              row.next === undefined
                ? 'never open'
                : `${row.open ? 'open' : 'closed'} until ${inZone(row.next, table.zone)}`
            }
          >
            {behind}
            <Bars spans={row.spans} from={table.from} until={table.until} look="hours" />
          </Row>
        ))}
        {table.closed.map((row) => (
          <Row
            key={row.name}
            name={row.name}
            told="closed days"
            next={
              row.next ? `${weekday(row.next.day)} ${dayOfYear(row.next.day, today)} ${row.next.name}` : ''
            }
          >
            {behind}
          </Row>
        ))}
      </div>
      {table.closed.length === 0 && (
        <p className="mt-2 text-sm text-ink2">
          No closed days are known.{' '}
          <Link className="font-semibold text-moss hover:underline" to="/setup">
            Import a calendar
          </Link>
        </p>
      )}
    </>
  );
}

function Head({ days, zone }: { days: ReturnType<typeof columns>; zone: string }) {
  return (
    <div
      role="row"
      className="grid grid-cols-1 text-sm text-ink2 columns:grid-cols-[230px_minmax(0,1fr)_230px]"
    >
      <span role="columnheader" className="px-3 py-2">
        All times in {zone.split('/').at(-1)?.replace('_', ' ')}
      </span>
      <span role="columnheader" aria-label="days" className="relative hidden overflow-hidden columns:block">
        {days.map(
          ({ day, head }, i) =>
            head && (
              <span
                key={day}
                className="absolute inset-y-2 pl-1 whitespace-nowrap"
                style={{ left: `${(i / days.length) * 100}%` }}
              >
                {head}
              </span>
            ),
        )}
      </span>
      <span role="columnheader" className="hidden border-line px-3 py-2 columns:block columns:border-l">
        next change
      </span>
    </div>
  );
}

function share(iso: string, { from, until }: { from: string; until: string }): number {
  return ((Date.parse(iso) - Date.parse(from)) / (Date.parse(until) - Date.parse(from))) * 100;
}
