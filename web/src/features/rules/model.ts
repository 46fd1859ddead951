import type { Schemas } from '../../api/client';
import type { Happening } from '../../ui/glyphs';

export type Rule = Schemas['Rule'];
export type RuleBook = Schemas['RuleBook'];

export function withRules(book: RuleBook, rules: Rule[]): RuleBook {
  return { ...book, rules };
}

/** The rules with one moved to another order. */
export function moved(rules: Rule[], from: number, to: number): Rule[] {
  const rest = [...rules];
  const [rule] = rest.splice(from, 1);
  if (rule) {
    rest.splice(Math.max(0, Math.min(to, rest.length)), 0, rule);
  }
  return rest;
}

/** The rules with a paused copy of one right below it, under a name of its own. */
export function copied(rules: Rule[], rule: Rule): Rule[] {
  const copy = {
    ...rule,
    id: crypto.randomUUID(),
    version: 1,
    name: `${rule.name.slice(0, 190)}, copy`,
    on: false,
  };
  return rules.flatMap((one) => (one.id === rule.id ? [one, copy] : [one]));
}

type SenderTest = Schemas['Criterion'] & { part: 'sender'; values: string[] };

function isSender(criterion: Schemas['Criterion']): criterion is SenderTest {
  return 'part' in criterion && criterion.part === 'sender' && !('not' in criterion && criterion.not);
}

function outermost(criterion: Schemas['Criterion']): Schemas['Criterion'][] {
  return 'all' in criterion ? criterion.all : [criterion];
}

/** Whom a rule takes mail from, where it says so. */
export function sendersOf(rule: Rule): string[] {
  return outermost(rule.picksOut)
    .filter(isSender)
    .flatMap((test) => test.values);
}

/** A copy that takes mail of another sender, an address or a domain, instead of the one the rule names. */
export function copiedFor(rule: Rule, sender: string): Rule {
  const how = sender.includes('@') ? ('is' as const) : ('at domain or below' as const);
  const criteria = outermost(rule.picksOut).map((one): Schemas['Criterion'] =>
    isSender(one) ? ({ part: 'sender' as const, how, values: [sender] } satisfies Schemas['Criterion']) : one,
  );
  return {
    ...rule,
    id: crypto.randomUUID(),
    version: 1,
    name: `${rule.name.slice(0, 120)}, ${sender}`.slice(0, 200),
    picksOut: { all: criteria },
    on: false,
  };
}

export function switched(rules: Rule[], id: string, on: boolean): Rule[] {
  return rules.map((rule) => (rule.id === id ? { ...rule, on } : rule));
}

/** The ids of the templates that a rule answers from. */
export function templatesOf(rule: Rule): string[] {
  return rule.does.flatMap((step) => (step.do === 'reply' && step.template ? [step.template] : []));
}

/** A step that has no picture does not compile. */
const PICTURES: Record<Rule['does'][number]['do'], Happening> = {
  forward: 'FORWARD',
  redirect: 'REDIRECT',
  reply: 'REPLY',
  file: 'FILE',
  mark: 'MARK',
  remind: 'REMIND',
  copy: 'COPY',
  'out of junk': 'OUT_OF_JUNK',
  archive: 'ARCHIVE',
  trash: 'TRASH',
  delete: 'DELETE',
  keep: 'KEEP',
  notify: 'NOTIFY',
  'follow up': 'FOLLOW_UP',
};

/** The picture of a step of a rule. */
export function happeningOf(step: Rule['does'][number]): Happening {
  return PICTURES[step.do];
}

/** The kinds of step of a rule, each once, in order. */
export function happenings(rule: Rule): Happening[] {
  const kinds = rule.does.map(happeningOf);
  return [...new Set(kinds)];
}

export interface StreamPart {
  rule: string;
  left: number;
  picked: number;
  ends: boolean;
  kind: Happening | undefined;
}

/** How much mail is still flowing at each rule, out of all of the window. */
export function stream(rules: Rule[], window: number, picked: Map<string, number>): StreamPart[] {
  let left = window;
  return rules.map((rule) => {
    const picks = rule.on ? (picked.get(rule.id) ?? 0) : 0;
    const ends = rule.on && rule.ending === 'stop here';
    const part = { rule: rule.id, left, picked: picks, ends, kind: happenings(rule)[0] };
    left -= ends ? picks : 0;
    return part;
  });
}
