import { expect, test } from 'vitest';
import { pieces } from './marks';

test('a text is cut at its marks and nothing of it is lost', () => {
  const text = 'Two guided visits';
  const cut = pieces(text, [{ start: 4, end: 16 }]);
  expect(cut).toEqual([
    { text: 'Two ', marked: false },
    { text: 'guided visit', marked: true },
    { text: 's', marked: false },
  ]);
  expect(cut.map((p) => p.text).join('')).toBe(text);
});
