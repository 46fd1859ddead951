import type { Schemas } from '../../api/client';
import type { Rule } from '../rules';

export type Criterion = Schemas['Criterion'];
export type Step = Schemas['Step'];

/** The tests that this screen changes; others are kept as they are. */
export interface AddressTest {
  part: 'sender' | 'recipient';
  how: 'is' | 'at domain' | 'at domain or below';
  values: string[];
  not?: boolean;
}
export interface PhraseTest {
  part: 'sender name' | 'subject' | 'text' | 'subject or text';
  how: 'contains';
  values: string[];
  not?: boolean;
}
export type Test = AddressTest | PhraseTest;

const PHRASE_PARTS = ['sender name', 'subject', 'text', 'subject or text'];

/** A criterion in hand: a test, or one that is kept as it is because it nests. */
export interface Item {
  key: string;
  criterion: Criterion;
  /** What is being typed and not yet a value. */
  typing: string;
}

export interface Draft {
  id: string;
  version: number;
  name: string;
  how: 'all' | 'any';
  everything: boolean;
  picksOut: Item[];
  leavesOut: Item[];
  does: Step[];
  ending: Rule['ending'];
  on: boolean;
  /** Where it stands in the course, from 0. */
  order: number;
}

let keys = 0;

export function item(criterion: Criterion): Item {
  keys += 1;
  return { key: `c${keys}`, criterion, typing: '' };
}

export function isTest(criterion: Criterion): criterion is Test {
  if (!('part' in criterion) || !('values' in criterion) || 'compare' in criterion || 'order' in criterion) {
    return false;
  }
  const { part, how } = criterion;
  const ofAddress = part === 'sender' || part === 'recipient';
  return ofAddress
    ? how !== 'contains' && isAddressHow(how)
    : how === 'contains' && PHRASE_PARTS.includes(part);
}

function isAddressHow(how: string | undefined): boolean {
  return how === 'is' || how === 'at domain' || how === 'at domain or below';
}

export function newDraft(id: string, from: string | null): Draft {
  const values = from ? [from.slice(from.lastIndexOf('@') + 1)] : [];
  return {
    id,
    version: 1,
    name: '',
    how: 'all',
    everything: false,
    picksOut: [
      item({ part: 'sender', how: 'at domain or below', values }),
      item({ part: 'subject or text', how: 'contains', values: [] }),
    ],
    leavesOut: [],
    does: [],
    ending: 'goes on',
    on: false,
    order: 0,
  };
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
    ending: rule.ending,
    on: rule.on,
    order,
  };
}

/** The criterion with what is being typed as one more value; undefined while it has none. */
export function meant({ criterion, typing }: Item): Criterion | undefined {
  if (!isTest(criterion)) {
    return criterion;
  }
  const typed = typing.trim();
  const values =
    typed.length > 1 && isWhole(criterion, typed) ? [...criterion.values, typed] : criterion.values;
  return values.length === 0 ? undefined : ({ ...criterion, values } as Test);
}

/** Half an address or domain takes nothing, so it is not asked about while it is being typed. */
function isWhole(test: Test, typed: string): boolean {
  if (test.part !== 'sender' && test.part !== 'recipient') {
    return true;
  }
  return test.how === 'is' ? /^[^@\s]+@[^@\s]+\.[^@\s]+$/.test(typed) : /^@?[\w-]+(\.[\w-]+)+$/.test(typed);
}

export interface Asked {
  rule: Rule;
  /** For each criterion of the rule as asked, the item it came from. */
  picked: Item[];
  left: Item[];
}

/** The rule as far as it can be asked about; undefined while it picks out nothing. */
export function ask(draft: Draft): Asked | undefined {
  const picked = draft.everything ? [] : draft.picksOut.filter((i) => meant(i) !== undefined);
  const left = draft.leavesOut.filter((i) => meant(i) !== undefined);
  if (!draft.everything && picked.length === 0) {
    return undefined;
  }
  const criteria = picked.map((i) => meant(i) as Criterion);
  const exceptions = left.map((i) => meant(i) as Criterion);
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
    does: draft.does.filter(isComplete),
    ending: draft.ending,
    on: draft.on,
    ...(exceptions.length > 0 ? { leavesOut: { any: exceptions } } : {}),
  };
  return { rule, picked, left };
}

export function isComplete(step: Step): boolean {
  switch (step.do) {
    case 'forward':
    case 'redirect':
      return step.to.length > 0;
    case 'reply':
      return step.text.trim() !== '';
    case 'file':
      return step.folder.trim() !== '' && step.folder.trim().toLowerCase() !== 'inbox';
    case 'mark':
      return step.flags.length > 0 || [...(step.tags ?? []), ...(step.remove ?? [])].length > 0;
    case 'copy':
      return step.folder.trim() !== '';
    default:
      return true;
  }
}

/** What still keeps the rule from being switched on, in plain words. */
export function lacking(draft: Draft): string[] {
  const lacks: string[] = [];
  if (ask(draft) === undefined) {
    lacks.push('Say what it picks out.');
  }
  if (draft.does.length === 0) {
    lacks.push('Say what it does.');
  }
  if (draft.does.some((step) => !isComplete(step))) {
    lacks.push('A step is not filled in yet.');
  }
  return lacks;
}

/** A name from the first values of the criteria. */
export function proposedName(draft: Draft): string {
  if (draft.everything) {
    return 'Every message';
  }
  const values = draft.picksOut
    .map((i) => meant(i))
    .filter((c): c is Test => c !== undefined && isTest(c))
    .map((test) => test.values[0] ?? '')
    .filter((value) => value !== '');
  return values.length === 0 ? 'New rule' : values.slice(0, 2).join(': ').slice(0, 120);
}

export function presetEnding(does: Step[]): Rule['ending'] {
  return does.some((step) => step.do === 'file' || step.do === 'reply') ? 'ends here' : 'goes on';
}

/** Splits what was pasted into values: by lines, semicolons and, for addresses, commas and spaces. */
export function pastedValues(text: string, isWords: boolean): string[] {
  const parts = text.split(isWords ? /[\r\n;]+/ : /[\s,;<>]+/);
  return parts.map((part) => part.trim()).filter((part) => part !== '');
}

/** The values with more added; the same value in another letter case is not added twice. */
export function withValues(values: string[], more: string[]): string[] {
  const known = new Set(values.map((v) => v.toLowerCase()));
  const fresh = more.filter((v) => {
    const key = v.toLowerCase();
    const isNew = !known.has(key);
    known.add(key);
    return isNew;
  });
  return [...values, ...fresh];
}
