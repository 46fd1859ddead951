import { describe, expect, it } from 'vitest';
import {
  aboutInWords,
  agreed,
  daysBack,
  daysBefore,
  scopeInWords,
  standingInWords,
  stepsInWords,
} from './model';
import type { CatchUp } from './queries';

function of(more: Partial<CatchUp>): CatchUp {
  return {
    id: 'c',
    rules: [{ id: 'seeds', name: 'Seeds' }],
    folders: ['INBOX'],
    subfolders: false,
    days: 30,
    state: 'RUNNING',
    readDone: 0,
    readOf: 0,
    before: '2026-12-01T06:00:00Z',
    messages: 8,
    messagesOf: 20,
    passedOver: 0,
    done: 0,
    open: 0,
    failed: 0,
    undone: 0,
    seconds: 90,
    handOvers: false,
    replies: false,
    begunBy: 'Ilse',
    begunAt: '2026-12-01T06:00:00Z',
    ...more,
  };
}

describe('a catch-up', () => {
  it('says where it reaches, how far it is and what became of its steps', () => {
    expect(scopeInWords(of({ subfolders: true }))).toBe(
      'in INBOX and the folders inside it, since 2 Nov 2026',
    );
    expect(standingInWords(of({}))).toBe('8 of 20 messages · about 2 minutes left');
    expect(stepsInWords(of({ done: 12, open: 4, failed: 1 }))).toBe(
      'Steps: 12 done, 4 still to do, 1 failed',
    );
    expect(stepsInWords(of({}))).toBe('');
  });

  it('reaches back to a day, and no further than past mail is kept', () => {
    expect(daysBefore('2026-12-01', 30)).toBe('2026-11-01');
    expect(daysBack('2026-11-30', '2026-12-01')).toBe(2);
    expect(daysBack('2020-01-01', '2026-12-01')).toBe(180);
    expect(daysBack('', '2026-12-01')).toBe(0);
  });

  it('takes its time in words', () => {
    expect([20, 61, 7_300].map(aboutInWords)).toEqual([
      'less than a minute',
      'about 1 minute',
      'about 2 hours',
    ]);
  });

  it('starts only when every number that matters was said yes to', () => {
    const preview = {
      looked: 9,
      messages: 3,
      does: [],
      left: [],
      handOvers: 2,
      recipients: [],
      replies: 0,
      answered: [],
      deletions: 1,
      seconds: 1,
      sample: [],
    };
    expect(agreed(preview, { handOvers: true, replies: false, deletions: false })).toBe(false);
    expect(agreed(preview, { handOvers: true, replies: false, deletions: true })).toBe(true);
  });
});
