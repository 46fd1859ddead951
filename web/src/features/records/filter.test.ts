import { describe, expect, it } from 'vitest';
import { asked, countInWords, filterOf } from './filter';

describe('what the records are asked for', () => {
  it('leaves out what is not named', () => {
    expect(filterOf(new URLSearchParams('view=done&words= '), [])).toEqual({});
    expect(filterOf(new URLSearchParams('rule=seeds&action=FILE'), ['SENT'])).toEqual({
      states: 'SENT',
      rule: 'seeds',
      actions: 'FILE',
    });
  });

  it('takes in the last day', () => {
    const { from, until } = filterOf(new URLSearchParams('since=2026-11-30&until=2026-11-30'), []);
    expect(Date.parse(until ?? '') - Date.parse(from ?? '')).toBe(86_400_000);
  });

  it('keeps the rest of the address', () => {
    expect(asked(new URLSearchParams('view=done&words=x'), 'words', '').toString()).toBe('view=done');
  });

  it('says how many, or that there are more', () => {
    expect(countInWords({ records: 1, more: false })).toBe('1 record');
    expect(countInWords({ records: 10_000, more: true })).toBe('more than 10,000 records');
  });
});
