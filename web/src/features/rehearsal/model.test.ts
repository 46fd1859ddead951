import { describe, expect, it } from 'vitest';
import type { Rule } from '../rules';
import { begun, byDay, difference, mostOf, moves, offered, picture, withChanges, type Result } from './model';

const rule = (id: string, on: boolean): Rule => ({
  id,
  version: 1,
  name: id,
  picksOut: { everything: true },
  does: [],
  on,
});

const fate = (key: string, messages: number, left = false) => ({
  key,
  left,
  messages,
  does: [{ code: key, arguments: [], words: key }],
});

const result: Result = {
  messages: 100,
  changing: 10,
  before: [fate('filed', 30), fate('left', 70, true)],
  after: [fate('filed', 20), fate('sent', 10), fate('left', 70, true)],
  flows: [
    { from: 'left', to: 'left', messages: 70 },
    { from: 'filed', to: 'filed', messages: 20 },
    { from: 'filed', to: 'sent', messages: 10 },
  ],
  rules: [],
  overlaps: [],
  nearMisses: [],
  again: [],
  moreThanOnce: 0,
  volumes: [],
};

describe('a rehearsal', () => {
  it('begins with the paused rules where there is no draft', () => {
    const changes = offered([rule('a', true), rule('b', false)], new Map());
    expect(changes.map((change) => change.words)).toEqual(['“b” switched on', '“a” paused']);
    expect(begun(changes)).toEqual(['paused b']);
    const book = { format: 'jubek-rule-book', formatVersion: 2, rules: [rule('a', true), rule('b', false)] };
    const changed = withChanges(book as never, changes);
    expect(changed.rules.map((one) => one.on)).toEqual([false, true]);
  });

  it('names what moves, most first, and not what stays', () => {
    expect(moves(result).map((one) => [one.words, one.messages])).toEqual([['filed → sent', 10]]);
  });

  it('draws each band as thick as its share of the outcome it comes from', () => {
    const { before, after, bands } = picture(result);
    const filed = before.fates.find((one) => one.key === 'filed')!;
    const moving = bands.find((band) => band.changes)!;
    expect(moving.thick1).toBeCloseTo(filed.height / 3);
    expect(moving.thick2).toBeCloseTo(after.fates.find((one) => one.key === 'sent')!.height);
    expect(bands.filter((band) => !band.changes)).toHaveLength(2);
  });

  it('shows days on which nothing leaves between those on which something does', () => {
    const days = [
      { day: '2026-02-27', messages: 2 },
      { day: '2026-03-02', messages: 5 },
    ];
    expect(byDay(days)).toEqual([2, 0, 0, 5]);
    expect(mostOf(days)?.day).toBe('2026-03-02');
    expect(byDay([])).toEqual([]);
  });

  it('says a difference with its sign', () => {
    expect([difference(5, 7), difference(7, 5), difference(5, 5)]).toEqual(['+2', '−2', '']);
  });
});
