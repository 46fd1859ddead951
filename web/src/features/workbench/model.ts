import type { Schemas } from '../../api/client';
import { isTest, item, meant, type Criterion, type Item, type Test } from '../criteria';
import type { Rule } from '../rules';

export type Step = Schemas['Step'];
export type Fault = Schemas['Fault'];
export type AnswerOf = Extract<Step, { do: 'reply' }>;

export interface Draft {
  id: string;
  version: number;
  name: string;
  how: 'all' | 'any';
  everything: boolean;
  picksOut: Item[];
  leavesOut: Item[];
  does: Step[];
  /** As its actions preset it, when left out. */
  ending?: Rule['ending'];
  active?: Rule['active'];
  on: boolean;
  /** Where it stands among the rules, from 0. */
  order: number;
}

export function newDraft(id: string): Draft {
  return {
    id,
    version: 1,
    name: '',
    how: 'all',
    everything: false,
    picksOut: [
      item({ part: 'sender', how: 'at domain or below', values: [] }),
      item({ part: 'subject or text', how: 'contains', values: [] }),
    ],
    leavesOut: [],
    does: [],
    on: false,
    order: 0,
  };
}

/** A new rule with criteria that were found elsewhere. */
export function begunDraft(id: string, picksOut: Criterion): Draft {
  const rule: Rule = { id, version: 1, name: '-', picksOut, does: [], on: false };
  return { ...draftOf(rule, 0), name: '' };
}

export function draftOf(rule: Rule, order: number): Draft {
  const outer = rule.picksOut;
  const inner = 'all' in outer ? outer.all : 'any' in outer ? outer.any : [outer];
  const exceptions = rule.leavesOut ? ('any' in rule.leavesOut ? rule.leavesOut.any : [rule.leavesOut]) : [];
  const everything = 'everything' in outer;
  return {
    id: rule.id,
    version: rule.version,
    name: rule.name,
    how: 'any' in outer ? 'any' : 'all',
    everything,
    picksOut: everything ? [] : inner.map(item),
    leavesOut: exceptions.map(item),
    does: rule.does,
    ...(rule.ending ? { ending: rule.ending } : {}),
    ...(rule.active ? { active: rule.active } : {}),
    on: rule.on,
    order,
  };
}

export interface Asked {
  rule: Rule;
}

/** The rule as far as it can be asked about; undefined while it picks out nothing. */
export function ask(draft: Draft): Asked | undefined {
  const criteria = draft.everything ? [] : meanings(draft.picksOut);
  if (!draft.everything && criteria.length === 0) {
    return undefined;
  }
  const exceptions = meanings(draft.leavesOut);
  const picksOut: Criterion = draft.everything
    ? { everything: true }
    : draft.how === 'all'
      ? { all: criteria }
      : { any: criteria };
  const rule: Rule = {
    id: draft.id,
    version: draft.version,
    name: draft.name.trim() || proposedName(draft),
    picksOut,
    does: draft.does,
    on: draft.on,
    ...(draft.ending ? { ending: draft.ending } : {}),
    ...(draft.active ? { active: draft.active } : {}),
    ...(exceptions.length > 0 ? { leavesOut: { any: exceptions } } : {}),
  };
  return { rule };
}

/** Rules with one as it is being made, at the place that it is to have. */
export function placed(rules: Rule[], rule: Rule, order: number): Rule[] {
  const rest = rules.filter((other) => other.id !== rule.id);
  rest.splice(Math.min(order, rest.length), 0, rule);
  return rest;
}

/** What was kept of a rule being made: the rule and its place, as far as it can be asked about. */
export function keptRule(bench: unknown): { rule: Rule; order: number } | undefined {
  const draft = bench as Draft | undefined;
  const asked = draft && ask(draft);
  return asked && { rule: asked.rule, order: draft.order };
}

function meanings(items: Item[]): Criterion[] {
  return items.map(meant).filter((one): one is Criterion => one !== undefined);
}

/** What still keeps the rule from being switched on, in plain words. */
export function lacking(draft: Draft, unfinished: Fault[]): string[] {
  const lacks: string[] = [];
  if (ask(draft) === undefined) {
    lacks.push('Choose what it picks out.');
  }
  if (draft.does.length === 0) {
    lacks.push('Choose at least one action to switch this rule on.');
  }
  return [...lacks, ...unfinished.map(inWords)];
}

function inWords({ path, message }: Fault): string {
  return `Action ${Number(path.split('/')[2]) + 1}: ${message}.`;
}

/** A name from the first values of the criteria. */
export function proposedName(draft: Draft): string {
  if (draft.everything) {
    return 'Every message';
  }
  const values = draft.picksOut
    .map((i) => meant(i))
    .filter((c): c is Criterion & Test => c !== undefined && isTest(c))
    .map((test) => ('values' in test ? (test.values[0] ?? '') : ''))
    .filter((value) => value !== '');
  return values.length === 0 ? 'New rule' : values.slice(0, 2).join(': ').slice(0, 120);
}

/** The draft with other actions; an ending that is as they preset it goes on being so. */
export function withSteps(draft: Draft, does: Step[], preset: Rule['ending']): Draft {
  const { ending, ...rest } = draft;
  return ending === undefined || ending === preset ? { ...rest, does } : { ...draft, does };
}

/** A sample message to begin with: as the example is, or as the criteria say. */
export function letterFor(
  draft: Draft,
  ownAddress: string,
  example: Schemas['Line'] | undefined,
): Schemas['SampleMessage'] {
  const values = (part: string) =>
    draft.picksOut
      .map((i) => i.criterion)
      .filter((c): c is Criterion & Test => isTest(c) && c.part === part)
      .flatMap((test) => ('values' in test ? test.values : []));
  const sender = values('sender')[0];
  const words = values('subject or text')[0] ?? values('subject')[0] ?? '';
  return {
    from:
      sender === undefined
        ? 'somebody@mailhaven.example'
        : sender.includes('@')
          ? sender
          : `somebody@${sender}`,
    to: values('recipient')[0]?.includes('@') ? (values('recipient')[0] ?? ownAddress) : ownAddress,
    subject: example?.subject ?? words,
    text: '',
  };
}

/** What most web forms write in front of the address. */
export const USUAL_IN_FORMS =
  '(?:e-?mail|address|from)[^:\\n]{0,20}:\\s*<?([^\\s<>()\\[\\],;:]+@[^\\s<>()\\[\\],;:]+)';

/** The draft with its reply given to those whom mail of one more form names. */
export function trustingForm(draft: Draft, form: string): Draft {
  const does = draft.does.map((step): Step => {
    if (step.do !== 'reply') {
      return step;
    }
    const before = step.answersTo?.part === 'text' ? step.answersTo : undefined;
    const forms = [...(before?.forms ?? []), form];
    return { ...step, answersTo: { part: 'text', pattern: before?.pattern ?? USUAL_IN_FORMS, forms } };
  });
  return { ...draft, does };
}
