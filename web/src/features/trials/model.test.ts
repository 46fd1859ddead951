import { describe, expect, it } from 'vitest';
import {
  coverageInWords,
  inShort,
  marksOf,
  messagesProposed,
  mostUrgentFirst,
  squaresOf,
  standing,
  type Trial,
} from './model';

const words = (said: string) => ({ code: 'X', arguments: [], words: said });

const TRIAL: Trial = {
  id: 'one',
  name: 'Re: your permit 114',
  rule: 'permits',
  at: '2026-11-03T10:12:00Z',
  madeAt: '2026-11-03T10:12:00Z',
  madeBy: 'Ilse Varga',
  mustBePicked: true,
  holds: true,
  expected: [
    { fate: 'PICKED_BY', of: 'permits', must: true, statement: words('picked by “Permits”'), met: true },
    { fate: 'IN_INBOX', of: '', must: true, statement: words('stays in the inbox'), met: true },
  ],
  happens: [],
  because: [words('“Permits”: picked')],
};
const PROPOSAL = { madeUp: false, from: 'Mara', subject: 'Permit?', at: TRIAL.at, expected: [] };

describe('the trials of a rule', () => {
  const rule = {
    rule: 'permits',
    name: 'Permits',
    on: true,
    trials: [TRIAL, { ...TRIAL, id: 'two', holds: false }],
    cases: [
      { key: 'a', what: words('a'), shownBy: 'one' },
      { key: 'b', what: words('b'), shownBy: 'two' },
      { key: 'c', what: words('c'), proposal: PROPOSAL },
      { key: 'd', what: words('d'), proposal: PROPOSAL },
    ],
  };

  it('has one square for each case', () => {
    expect(squaresOf(rule)).toEqual(['holds', 'differs', 'missing', 'missing']);
    expect(coverageInWords(rule)).toBe('2 of 4 cases');
  });

  it('comes first where one differs', () => {
    const fine = { ...rule, rule: 'fine', trials: [TRIAL] };
    expect(mostUrgentFirst([fine, rule]).map((of) => of.rule)).toEqual(['permits', 'fine']);
  });

  it('counts a message once that is proposed for several cases', () => {
    expect(messagesProposed(rule.cases)).toBe(1);
  });
});

describe('a row', () => {
  it('says what else must happen, or what should', () => {
    expect(standing(TRIAL).word).toBe('picked');
    expect(inShort(TRIAL)).toBe('stays in the inbox');
    const unmet = TRIAL.expected.map((one) => ({ ...one, met: false }));
    expect(inShort({ ...TRIAL, holds: false, expected: unmet })).toBe(
      'should be picked by “Permits”, stays in the inbox',
    );
    expect(standing({ ...TRIAL, mustBePicked: false }).word).toBe('not picked');
  });
});

describe('marks', () => {
  it('are where the words stand, the longer one first, and never overlap', () => {
    expect(marksOf('Photo permit, PERMIT', ['permit', 'photo permit'])).toEqual([
      { start: 0, end: 12 },
      { start: 14, end: 20 },
    ]);
  });
});
