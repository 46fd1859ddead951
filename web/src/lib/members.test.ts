import { expect, test } from 'vitest';
import { withMember } from './members';

test('a member without a value is absent, not undefined, and the original stays as it was', () => {
  const step: { to: string; note?: string } = { to: 'a', note: 'b' };
  expect(Object.keys(withMember(step, 'note', undefined))).toEqual(['to']);
  expect(withMember({ to: 'a' } as typeof step, 'note', 'c')).toEqual({ to: 'a', note: 'c' });
  expect(step).toEqual({ to: 'a', note: 'b' });
});
