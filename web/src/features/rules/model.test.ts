import { expect, test } from 'vitest';
import { happenings, moved, stream, switched, type Rule } from './model';

const rule = (id: string, more: Partial<Rule> = {}): Rule => ({
  id,
  version: 1,
  name: id,
  picksOut: { everything: true },
  does: [{ do: 'file', folder: 'x' }],
  ending: 'continue',
  on: true,
  ...more,
});

test('moving a rule changes its order only, and never beyond the ends', () => {
  const ids = (rules: Rule[]) => rules.map((r) => r.id).join('');
  const rules = [rule('a'), rule('b'), rule('c')];
  expect(ids(moved(rules, 0, 2))).toBe('bca');
  expect(ids(moved(rules, 2, 9))).toBe('abc');
  expect(ids(rules)).toBe('abc');
});

test('the stream narrows only where a rule that is on ends the run', () => {
  const rules = [
    rule('a', { ending: 'stop here' }),
    rule('b', { ending: 'stop here', on: false }),
    rule('c'),
  ];
  const parts = stream(
    rules,
    100,
    new Map([
      ['a', 40],
      ['b', 30],
      ['c', 10],
    ]),
  );
  expect(parts.map((p) => [p.left, p.picked])).toEqual([
    [100, 40],
    [60, 0],
    [60, 10],
  ]);
});

test('the switch of one rule leaves the others as they are', () => {
  expect(switched([rule('a'), rule('b')], 'b', false).map((r) => r.on)).toEqual([true, false]);
});

test('a rule shows the picture of each of its steps once', () => {
  const does: Rule['does'] = [{ do: 'remind', days: 3 }, { do: 'keep' }, { do: 'keep' }];
  expect(happenings(rule('a', { does }))).toEqual(['REMIND', 'KEEP']);
});
