import type { Schemas } from '../../api/client';
import { dayAfter } from '../../lib/dates';
import { count, counted } from '../../lib/numbers';
import type { KeptDraft } from '../drafts';
import { switched, withRules, type Rule, type RuleBook } from '../rules';
import { keptRule, placed } from '../workbench';

export type Result = Schemas['RehearsalResult'];
type Fate = Schemas['FateView'];

/** Something about the rules that can be tried: a draft, or a paused rule as if it were on. */
export interface Change {
  key: string;
  rule: string;
  words: string;
  apply: (rules: Rule[]) => Rule[];
}

/** What there is to try, beside the rules as they are. */
export function offered(rules: Rule[], drafts: Map<string, KeptDraft>): Change[] {
  const drafted = [...drafts].flatMap(([id, kept]) => {
    const draft = keptRule(kept.bench);
    return draft
      ? [
          {
            key: `draft ${id}`,
            rule: id,
            words: `draft of “${draft.rule.name}”`,
            apply: (now: Rule[]) => placed(now, { ...draft.rule, on: true }, draft.order),
          },
        ]
      : [];
  });
  const paused = rules
    .filter((rule) => !rule.on && !drafted.some((draft) => draft.rule === rule.id))
    .map((rule) => ({
      key: `paused ${rule.id}`,
      rule: rule.id,
      words: `“${rule.name}” switched on`,
      apply: (now: Rule[]) => switched(now, rule.id, true),
    }));
  const off = rules
    .filter((rule) => rule.on && !drafted.some((draft) => draft.rule === rule.id))
    .map((rule) => ({
      key: `on ${rule.id}`,
      rule: rule.id,
      words: `“${rule.name}” paused`,
      apply: (now: Rule[]) => switched(now, rule.id, false),
    }));
  return [...drafted, ...paused, ...off];
}

/** Which of them one begins with: those of the rule that is asked for, or else all drafts, or else all paused rules. */
export function begun(changes: Change[], rule: string | null = null): string[] {
  const asked = changes.filter((change) => change.rule === rule);
  if (asked.length > 0) {
    return asked.map((change) => change.key);
  }
  const drafts = changes.filter((change) => change.key.startsWith('draft '));
  const first = drafts.length > 0 ? drafts : changes.filter((change) => change.key.startsWith('paused '));
  return first.map((change) => change.key);
}

export function withChanges(book: RuleBook, changes: Change[]): RuleBook {
  return withRules(
    book,
    changes.reduce((rules, change) => change.apply(rules), book.rules),
  );
}

export function inWords(statements: { words: string }[]): string {
  return statements.map((one) => one.words).join(', ');
}

export function secondsInWords(millis: number): string {
  return millis < 100 ? 'at once' : `in ${(millis / 1000).toFixed(1)} s`;
}

export function progressInWords({ done, of }: Schemas['RehearsalStanding']): string {
  return of === 0 ? 'Reading past mail …' : `${count(done)} of ${counted(of, 'message')} …`;
}

/** One column of the picture. */
export interface Column {
  fates: { key: string; words: string; messages: number; y: number; height: number; left: boolean }[];
}

/** A band between two columns. */
export interface Band {
  from: string;
  to: string;
  messages: number;
  changes: boolean;
  y1: number;
  y2: number;
  thick1: number;
  thick2: number;
}

export interface Picture {
  height: number;
  before: Column;
  after: Column;
  bands: Band[];
}

const SHOWN = 9;
const LEAST = 20;
const SHARE = 190;
const GAP = 9;
const OTHERS = 'others';

/** Many small fates stand together, so that the picture stays one that can be read. */
function gathered(fates: Fate[], shown: Set<string>): Column {
  const total = Math.max(
    1,
    fates.reduce((sum, fate) => sum + fate.messages, 0),
  );
  const rest = fates.filter((fate) => !shown.has(fate.key));
  const rows = [
    ...fates
      .filter((fate) => shown.has(fate.key))
      .map((fate) => ({
        key: fate.key,
        words: inWords(fate.does),
        messages: fate.messages,
        left: fate.left,
      })),
  ];
  if (rest.length > 0) {
    const messages = rest.reduce((sum, fate) => sum + fate.messages, 0);
    rows.splice(rows.length - (rows.at(-1)?.left ? 1 : 0), 0, {
      key: OTHERS,
      words: counted(rest.length, 'other outcome'),
      messages,
      left: false,
    });
  }
  let y = 0;
  return {
    fates: rows.map((row) => {
      const height = LEAST + (row.messages / total) * SHARE;
      const at = { ...row, y, height };
      y += height + GAP;
      return at;
    }),
  };
}

/** The two columns of outcomes, and the messages that move between them. */
export function picture({ before, after, flows }: Result): Picture {
  const size = new Map<string, number>();
  const add = (fate: Fate) => size.set(fate.key, Math.max(size.get(fate.key) ?? 0, fate.messages));
  const moving = new Set(
    flows.filter((flow) => flow.from !== flow.to).flatMap((flow) => [flow.from, flow.to]),
  );
  before.forEach(add);
  after.forEach(add);
  const ordered = [...size]
    .sort(([one, n], [other, m]) => Number(moving.has(other)) - Number(moving.has(one)) || m - n)
    .map(([key]) => key);
  const shown = new Set(ordered.slice(0, ordered.length <= SHOWN + 1 ? SHOWN + 1 : SHOWN));
  [...before, ...after].filter((fate) => fate.left).forEach((fate) => shown.add(fate.key));
  const columns = { before: gathered(before, shown), after: gathered(after, shown) };
  const key = (of: string) => (shown.has(of) ? of : OTHERS);
  const together = new Map<string, { from: string; to: string; messages: number; changes: boolean }>();
  for (const flow of flows) {
    const changes = flow.from !== flow.to;
    const id = JSON.stringify([key(flow.from), key(flow.to), changes]);
    const known = together.get(id) ?? { from: key(flow.from), to: key(flow.to), messages: 0, changes };
    together.set(id, { ...known, messages: known.messages + flow.messages });
  }
  const place = new Map([
    ...columns.before.fates.map((row, i) => [`b${row.key}`, i] as const),
    ...columns.after.fates.map((row, i) => [`a${row.key}`, i] as const),
  ]);
  const inOrder = [...together.values()].sort(
    (one, other) =>
      (place.get(`b${one.from}`) ?? 0) - (place.get(`b${other.from}`) ?? 0) ||
      (place.get(`a${one.to}`) ?? 0) - (place.get(`a${other.to}`) ?? 0),
  );
  const filled = { before: new Map<string, number>(), after: new Map<string, number>() };
  const bands = inOrder.map((flow) => {
    const from = columns.before.fates.find((row) => row.key === flow.from)!;
    const to = columns.after.fates.find((row) => row.key === flow.to)!;
    const thick1 = (flow.messages / Math.max(1, from.messages)) * from.height;
    const thick2 = (flow.messages / Math.max(1, to.messages)) * to.height;
    const y1 = from.y + (filled.before.get(flow.from) ?? 0);
    const y2 = to.y + (filled.after.get(flow.to) ?? 0);
    filled.before.set(flow.from, y1 - from.y + thick1);
    filled.after.set(flow.to, y2 - to.y + thick2);
    return { ...flow, y1, y2, thick1, thick2 };
  });
  const bottom = (column: Column) => {
    const last = column.fates.at(-1);
    return last ? last.y + last.height : 0;
  };
  return { height: Math.max(bottom(columns.before), bottom(columns.after)), ...columns, bands };
}

/** What changes hands, most first, by the outcomes it moves between. */
export function moves({
  flows,
  before,
  after,
}: Result): { key: string; from: string; to: string; words: string; messages: number }[] {
  const named = new Map([...before, ...after].map((fate) => [fate.key, inWords(fate.does)]));
  return flows
    .filter((flow) => flow.from !== flow.to)
    .map((flow) => ({
      key: `${flow.from} ${flow.to}`,
      from: flow.from,
      to: flow.to,
      words: `${named.get(flow.from) ?? ''} → ${named.get(flow.to) ?? ''}`,
      messages: flow.messages,
    }));
}

/** "+7", "−2" or nothing. */
export function difference(before: number, after: number): string {
  const by = after - before;
  return by === 0 ? '' : by > 0 ? `+${by}` : `−${-by}`;
}

type Day = Schemas['DayView'];

/** The day with most; the first of several. */
export function mostOf(days: Day[]): Day | undefined {
  return days.reduce<Day | undefined>(
    (most, day) => (most && most.messages >= day.messages ? most : day),
    undefined,
  );
}

/** How many on each day from the first to the last, those without any among them. */
export function byDay(days: Day[]): number[] {
  const counts = new Map(days.map((day) => [day.day, day.messages]));
  const last = days.at(-1)?.day;
  const all: number[] = [];
  for (let day = days[0]?.day; day !== undefined && last !== undefined && day <= last; day = dayAfter(day)) {
    all.push(counts.get(day) ?? 0);
  }
  return all;
}
