import { expect, test } from 'vitest';
import { problemOf, problemText } from './problem';

test('a refusal keeps its words, its places and whatever else it says', () => {
  const problem = problemOf(422, { detail: 'no', places: [{ path: '/a', message: 'x' }], version: 3 });
  expect(problem.message).toBe('no');
  expect(problem.places).toEqual([{ path: '/a', message: 'x' }]);
  expect(problem.more['version']).toBe(3);
});

test('without words the page says what happened and that nothing typed is lost', () => {
  expect(problemText(problemOf(0, undefined))).toMatch(/does not answer.*still here/);
  expect(problemText(problemOf(401, ''))).toMatch(/Sign in again.*still here/);
  expect(problemText('odd')).toBe('odd');
});
