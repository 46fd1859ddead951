import { expect, test } from 'vitest';
import type { Schemas } from '../../api/client';
import { heldInWords, limitsInWords } from './limits';

function limits(held: number): Schemas['LimitsView'] {
  return {
    days: 90,
    leaving: 1234,
    limits: [
      { reason: 'HOURLY_LIMIT', messages: 200, held: 0 },
      { reason: 'SENDER_LIMIT', messages: 50, held },
    ],
  };
}

test('the limits are said with what they would have held', () => {
  expect(limitsInWords(limits(0))).toBe(
    'Within an hour at most 200 messages leave from this mailbox, 50 about mail of one sender; more are held for you.',
  );
  expect(heldInWords(limits(0))).toBe(
    'Of the 1,234 messages that today’s rules would have sent in the last 90 days, that would have held none.',
  );
  expect(heldInWords(limits(12))).toContain('that would have held 12 about mail of one sender.');
});
