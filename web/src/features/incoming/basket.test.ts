import { expect, test } from 'vitest';
import { turned } from './basket';

test('a verdict said again is taken back, and the other one replaces it', () => {
  const one = turned({ wanted: [], unwanted: [] }, 7, 'belongs');
  expect(one).toEqual({ wanted: [7], unwanted: [] });
  expect(turned(one, 7, 'does not belong')).toEqual({ wanted: [], unwanted: [7] });
  expect(turned(one, 7, 'belongs')).toEqual({ wanted: [], unwanted: [] });
});
