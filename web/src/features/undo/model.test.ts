import { describe, expect, it } from 'vitest';
import { all, refusedInWords, undoneInWords } from './model';

describe('what can be undone', () => {
  it('is said by kind, for one and for several', () => {
    expect(undoneInWords({ kind: 'COPY', steps: 1 })).toBe('1 copy is removed');
    expect(undoneInWords({ kind: 'TRASH', steps: 3 })).toBe('3 messages come out of the trash');
  });

  it('is counted over all kinds', () => {
    expect(
      all({
        can: [
          { kind: 'FILE', steps: 2 },
          { kind: 'MARK', steps: 3 },
        ],
        cannot: [],
        looked: true,
      }),
    ).toBe(5);
  });

  it('names the first messages of what can’t be', () => {
    const why = { code: 'HAS_LEFT', arguments: [], words: 'it was sent' };
    expect(refusedInWords({ why, steps: 3, subjects: ['Tour', ''] })).toBe(
      '3 steps: it was sent (“Tour”, “(no subject)”, …)',
    );
  });
});
