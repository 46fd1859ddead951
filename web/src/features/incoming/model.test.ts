import { expect, test } from 'vitest';
import type { Schemas } from '../../api/client';
import { said } from '../../test/said';
import { aStep } from '../../test/step';
import { doneInWords, happened } from './model';

const step = (more: Partial<Schemas['StepView']>) =>
  aStep({ kind: 'REDIRECT', done: said('redirected to education@ostrel-gardens.example'), ...more });

test('what happened is said shortly, and what waits for a person before what was done', () => {
  const done = step({ kind: 'MARK', done: said('marked read') });
  expect(happened('DECIDED', [step({}), done])).toEqual({
    kinds: ['REDIRECT', 'MARK'],
    words: 'redirected, marked read',
  });
  expect(happened('DECIDED', [step({ state: 'HELD' }), done])).toEqual({
    kinds: ['HELD', 'MARK'],
    words: 'held, marked read',
  });
});

test('past mail, untouched mail and mail set aside are told apart', () => {
  expect(happened('PAST', []).words).toBe('no rule today');
  expect(
    happened('PAST', [], [{ rule: 'r', name: 'Seed exchange', kinds: ['KEEP', 'MARK', 'FILE'] }]),
  ).toEqual({ kinds: ['KEEP', 'MARK', 'FILE'], words: 'today: Seed exchange' });
  expect(happened('DECIDED', []).words).toBe('stays in the inbox');
  expect(happened('DECIDED', [step({ state: 'WITHHELD' })]).words).toBe('stays in the inbox');
  expect(happened('DECIDED', [step({ kind: 'REPLY', state: 'WITHHELD' })]).words).toBe('not replied to');
  expect(happened('SET_ASIDE', []).words).toBe('set aside');
});

test('a step says what it did, is to do, or did not do', () => {
  expect(doneInWords(step({ done: said('replied to'), state: 'WITHHELD' }))).toBe('not replied to');
  expect(doneInWords(step({ done: said('filed in Seeds'), state: 'READY' }))).toBe('to be filed in Seeds');
  expect(doneInWords(step({ done: said('filed in Seeds') }))).toBe('filed in Seeds');
});
