import { describe, expect, it } from 'vitest';
import { isAddress, reached, toCleanUp, verdict, type Possible, type Sent } from './model';

const possible = (leavesTo: string[]): Possible => ({
  trial: 'a',
  name: 'Our visit',
  sender: 'lena@school.example',
  happens: [],
  leavesTo,
});

const said = { code: 'X', arguments: [], words: 'x' };

const sent = (more: Partial<Sent>): Sent => ({
  id: '1',
  trial: 'a',
  name: 'Our visit',
  sender: 'seeds@ostrel-gardens.example',
  at: '2026-03-02T09:00:00Z',
  by: 'Ilse',
  lines: [{ stand: 'DONE', how: said }],
  open: false,
  cameIn: true,
  unmet: [],
  ...more,
});

describe('a real test', () => {
  it('is asked about once its sender is an address', () => {
    expect(
      ['lena@school.example', 'lena@school', '@school.example', 'a b@c.example', ''].map(isAddress),
    ).toEqual([true, false, false, false, false]);
  });

  it('says once whom it reaches', () => {
    expect(reached([possible(['a@x.example']), possible(['a@x.example', 'b@x.example'])])).toEqual([
      'a@x.example',
      'b@x.example',
    ]);
  });

  it('is good only when it came in, nothing is stuck, and all is as it must be', () => {
    expect(verdict(sent({})).good).toBe(true);
    expect(verdict(sent({ open: true })).words).toBe('under way');
    expect(verdict(sent({ open: true, lines: [{ stand: 'WAITS', how: said }] })).words).toBe(
      'waits for somebody',
    );
    expect(verdict(sent({ cameIn: false })).words).toBe('stuck');
    expect(verdict(sent({ unmet: [said] })).words).toBe('differs');
    expect(verdict(sent({ lines: [{ stand: 'STUCK', how: said }] })).words).toBe('stuck');
  });

  it('is cleaned up after once it has ended, and once only', () => {
    expect(toCleanUp([sent({}), sent({ open: true }), sent({ cleanedAt: '2026-03-02T10:00:00Z' })])).toEqual([
      '1',
    ]);
  });
});
