import { expect, test } from 'vitest';
import { emptyGroup, inBrief, item, meant, type Criterion } from './model';

const words = (value: string): Criterion => ({ part: 'subject', how: 'contains', values: [value] });

test('groups within groups come back as they were given', () => {
  const nested: Criterion = { any: [words('tour'), { none: [words('price list'), words('offer')] }] };
  expect(meant(item(nested))).toEqual(nested);
});

test('what is not filled in is no part of a group, and an empty group means nothing', () => {
  expect(meant(emptyGroup())).toBeUndefined();
  const group = item({ all: [words('tour')] });
  group.group?.items.push(...(emptyGroup().group?.items ?? []));
  expect(meant(group)).toEqual({ all: [words('tour')] });
});

test('a group says in a few words how many of its criteria must hold', () => {
  expect(inBrief({ any: [words('tour'), words('visit')] })).toBe('subject: tour or subject: visit');
  expect(inBrief({ none: [words('offer')] })).toBe('neither subject: offer');
});
