import type { Schemas } from '../../api/client';

export type Criterion = Schemas['Criterion'];

export const ADDRESS_PARTS = ['sender', 'recipient', 'to', 'cc'] as const;
export const WORDS_PARTS = [
  'subject or text',
  'subject',
  'text',
  'subject or what the sender added',
  'what the sender added',
] as const;
const TEXT_PARTS = [...WORDS_PARTS, 'sender name', 'attachment name', 'field'] as const;
const NUMBER_PARTS = ['size', 'attachments'] as const;
const COMPARED = ['over', 'under'] as const;

/** The tests that the screens change, of all that a rule may have; others are kept as they are. */
export type AddressCriterion = (Schemas['AddressCriterion'] | PieceOfAddress) & {
  part: (typeof ADDRESS_PARTS)[number];
};
/** A criterion of text that looks at addresses. */
type PieceOfAddress = Schemas['TextCriterion'] & { how: 'contains' };
export type WordsTest = Schemas['TextCriterion'] & { part: (typeof TEXT_PARTS)[number] };
export type TraitCriterion = Schemas['TraitCriterion'];
export type NumberCriterion = Schemas['NumberCriterion'] & {
  part: (typeof NUMBER_PARTS)[number];
  how: (typeof COMPARED)[number];
};
export type Test = AddressCriterion | WordsTest | TraitCriterion | NumberCriterion;
export type ValuedTest = AddressCriterion | WordsTest | TraitCriterion;
export type WordsHow = WordsTest['how'];

const ADDRESS_HOWS: AddressCriterion['how'][] = ['is', 'at domain', 'at domain or below', 'contains'];
export const WORDS_HOWS: WordsHow[] = [
  'contains',
  'whole words',
  'is',
  'begins',
  'ends',
  'wildcard',
  'pattern',
];
export const STANDINGS = ['written to me', 'to me alone', 'conversation', 'known'];
export const SENDERS = [
  'person',
  'automatic reply',
  'automatic notice',
  'list',
  'bulk',
  'bounce',
  'calendar',
];

/** What a criterion is about, as people choose it. */
export type Kind =
  | 'sender'
  | 'name'
  | 'recipient'
  | 'words'
  | 'relationship'
  | 'group'
  | 'sent by'
  | 'attachments'
  | 'attachment name'
  | 'size'
  | 'field';

/** How many criteria of a group must hold. */
export type Combined = 'all' | 'any' | 'none';

/** A criterion as it is edited: a test, a group of others, or one that the screens keep as it is. */
export interface Item {
  key: string;
  criterion: Criterion;
  /** What is being typed and not yet a value. */
  typing: string;
  /** Of a group, what is in it; its criterion is then made from this. */
  group?: { combined: Combined; items: Item[] };
}

let keys = 0;

export function item(criterion: Criterion): Item {
  keys += 1;
  const begun = { key: `c${keys}-${Date.now()}`, criterion, typing: '' };
  const combined = combinedIn(criterion);
  const inside = combined && (criterion as Record<Combined, Criterion[]>)[combined];
  return combined && inside ? { ...begun, group: { combined, items: inside.map(item) } } : begun;
}

function combinedIn(criterion: Criterion): Combined | undefined {
  return (['all', 'any', 'none'] as const).find((combined) => combined in criterion);
}

/** A group to begin with, of which any will do. */
export function emptyGroup(): Item {
  const first = item(emptyTest('words') as Criterion);
  return { ...item({ everything: true }), group: { combined: 'any', items: [first] } };
}

export function isAddress(test: Test): test is AddressCriterion {
  return (ADDRESS_PARTS as readonly string[]).includes(test.part);
}

export function isWords(test: Test): test is WordsTest {
  return !isAddress(test) && !isNumber(test) && !isTrait(test);
}

export function isNumber(test: Test): test is NumberCriterion {
  return (NUMBER_PARTS as readonly string[]).includes(test.part);
}

export function isTrait(test: Test): test is TraitCriterion {
  return test.part === 'relationship' || test.part === 'sent by' || test.part === 'group';
}

/** Whether the screens can change a criterion. */
export function isTest(criterion: Criterion): criterion is Test {
  if (!('part' in criterion) || 'compare' in criterion || 'order' in criterion || 'piece' in criterion) {
    return false;
  }
  const test = criterion as unknown as Test;
  if (isNumber(test)) {
    return (COMPARED as readonly string[]).includes(test.how);
  }
  if (!('values' in test) || 'withPrefixes' in criterion) {
    return false;
  }
  if (isAddress(test)) {
    return ADDRESS_HOWS.includes(test.how);
  }
  return isTrait(test) ? areKnown(test) : isOfWords(test);
}

function areKnown(test: TraitCriterion): boolean {
  const known = test.part === 'relationship' ? STANDINGS : SENDERS;
  return test.part === 'group' || test.values.every((value) => known.includes(value));
}

function isOfWords(test: WordsTest): boolean {
  return (TEXT_PARTS as readonly string[]).includes(test.part) && WORDS_HOWS.includes(test.how);
}

export function kindOf(test: Test): Kind {
  switch (test.part) {
    case 'sender':
      return 'sender';
    case 'recipient':
    case 'to':
    case 'cc':
      return 'recipient';
    case 'sender name':
      return 'name';
    case 'relationship':
    case 'group':
    case 'sent by':
    case 'attachments':
    case 'attachment name':
    case 'size':
    case 'field':
      return test.part;
    default:
      return 'words';
  }
}

export function emptyTest(kind: Kind): Test {
  switch (kind) {
    case 'sender':
      return { part: 'sender', how: 'at domain or below', values: [] };
    case 'recipient':
      return { part: 'recipient', how: 'is', values: [] };
    case 'name':
      return { part: 'sender name', how: 'contains', values: [] };
    case 'words':
      return { part: 'subject or text', how: 'contains', values: [] };
    case 'relationship':
      return { part: 'relationship', how: 'is', values: ['written to me'] };
    case 'group':
      return { part: 'group', how: 'is', values: [] };
    case 'sent by':
      return { part: 'sent by', how: 'is', values: ['person'] };
    case 'attachments':
      return { part: 'attachments', how: 'over', value: 0 };
    case 'attachment name':
      return { part: 'attachment name', how: 'contains', values: [] };
    case 'size':
      return { part: 'size', how: 'over', value: 5 * 1024 * 1024 };
    case 'field':
      return { part: 'field', field: 'list-id', how: 'contains', values: [] };
  }
}

/** The criterion with what is being typed as one more value; undefined while it has none. */
export function meant({ criterion, typing, group }: Item): Criterion | undefined {
  if (group) {
    const inside = group.items.map(meant).filter((one): one is Criterion => one !== undefined);
    return inside.length === 0 ? undefined : ({ [group.combined]: inside } as Criterion);
  }
  if (!isTest(criterion)) {
    return criterion;
  }
  const test = criterion as Test;
  if (isNumber(test)) {
    return criterion;
  }
  const typed = pastedValues(typing, !isAddress(test)).filter((one) => one.length > 1 && isWhole(test, one));
  const values = withValues(test.values, typed);
  return values.length === 0 ? undefined : ({ ...test, values } as Criterion);
}

/** Half an address or domain takes nothing, so it is not asked about while it is being typed. */
function isWhole(test: ValuedTest, typed: string): boolean {
  if (!isAddress(test)) {
    return !isTrait(test) && (test as WordsTest).how !== 'pattern';
  }
  if (test.how === 'contains') {
    return true;
  }
  return test.how === 'is' ? /^[^@\s]+@[^@\s]+\.[^@\s]+$/.test(typed) : /^@?[\w-]+(\.[\w-]+)+$/.test(typed);
}

/** Machines within the house may have a name without a dot. */
const ADDRESS = /^[^@\s]+@[^@\s]+$/;
const DOMAIN = /^(@[^@\s]+|[^@\s.]+(\.[^@\s.]+)+)$/;

/** Why a value is no address, told where it is typed. */
export function addressFault(value: string): string | undefined {
  return ADDRESS.test(value)
    ? undefined
    : `“${value}” is not a whole address: write it like liv@school.example.`;
}

/** Why a value can’t be compared with addresses in this way, told where it is typed. */
export function valueFault(test: ValuedTest, value: string): string | undefined {
  if (!isAddress(test) || test.how === 'contains') {
    return undefined;
  }
  const isFirst = test.values.length === 0;
  if (ADDRESS.test(value)) {
    return isFirst || test.how === 'is'
      ? undefined
      : `Domains are compared here: write that of “${value}”, or add another criterion for it.`;
  }
  if (DOMAIN.test(value)) {
    return isFirst || test.how !== 'is'
      ? undefined
      : `Whole addresses are compared here: write one, or add another criterion for the domain “${value}”.`;
  }
  return `“${value}” is neither an address nor a domain: write liv@school.example or school.example. For a piece of an address, choose “contains” above; for a name, “sender’s name”.`;
}

/**
 * Splits what was typed or pasted into values: by lines, semicolons and commas, for addresses by spaces too. What stands
 * in quotation marks is one value, and so is a number with a comma.
 */
export function pastedValues(text: string, isWords: boolean): string[] {
  if (!isWords) {
    return text.split(/[\s,;<>]+/).filter((part) => part !== '');
  }
  const parts = text.match(/\s*["“][^"“”\r\n]+["”]|(?:[^\r\n;,]|(?<=\d),(?=\d))+/g) ?? [];
  return parts.map((part) => part.trim().replace(/^["“](.+)["”]$/, '$1')).filter((part) => part !== '');
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

/** Adds values; the first whole address typed where a domain was expected turns the test into one of addresses. */
export function added(test: ValuedTest, more: string[]): ValuedTest {
  const values = withValues(test.values, more);
  if (!isAddress(test) || test.how === 'contains' || test.values.length > 0) {
    return { ...test, values };
  }
  const whole = more.some((value) => ADDRESS.test(value));
  return { ...test, how: whole ? 'is' : test.how === 'is' ? 'at domain or below' : test.how, values };
}

const PARTS_IN_WORDS: Record<string, string> = {
  sender: 'sender',
  recipient: 'written to',
  status: '',
  'sent by': 'sent by',
  group: 'in the group',
};

/** A criterion in a few words, for a line or a chip. */
export function inBrief(criterion: Criterion): string {
  if ('everything' in criterion) {
    return 'every message';
  }
  const combined = combinedIn(criterion);
  if (combined) {
    const inside = (criterion as Record<Combined, Criterion[]>)[combined].map(inBrief);
    return combined === 'none'
      ? `neither ${inside.join(' nor ')}`
      : inside.join(combined === 'all' ? ' and ' : ' or ');
  }
  if (!isTest(criterion)) {
    return 'part' in criterion ? criterion.part : 'something else';
  }
  const test = criterion as Test;
  const not = test.not ? 'not ' : '';
  if (isNumber(test)) {
    return test.part === 'attachments'
      ? test.not
        ? 'without attachments'
        : 'with attachments'
      : `${not}${test.how} ${Math.round(test.value / 1024)} KB`;
  }
  const part = test.part === 'field' ? (test as WordsTest).field : (PARTS_IN_WORDS[test.part] ?? test.part);
  return `${not}${part}${part ? ': ' : ''}${test.values.join(', ')}`;
}
