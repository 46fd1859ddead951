import { expect, test } from 'vitest';
import { turned } from './examples';

test('choosing the same again removes the message, and the other choice replaces it', () => {
  const one = turned({ wanted: [], unwanted: [] }, 7, 'example');
  expect(one).toEqual({ wanted: [7], unwanted: [] });
  expect(turned(one, 7, 'counter-example')).toEqual({ wanted: [], unwanted: [7] });
  expect(turned(one, 7, 'example')).toEqual({ wanted: [], unwanted: [] });
});
