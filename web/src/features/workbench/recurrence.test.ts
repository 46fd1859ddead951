import { expect, test } from 'vitest';
import { BEGUN, read, toggled, WEEKDAYS, written } from './recurrence';

test('what can be chosen is read back as it was chosen', () => {
  Object.values(BEGUN).forEach((one) => expect(read(written(one))).toEqual(one));
  expect(read('FREQ=MONTHLY;BYDAY=-1SU')).toEqual({ kind: 'weekday of month', nth: '-1', day: 'SU' });
});

test('any other rule stays as it is written', () => {
  const rule = 'FREQ=WEEKLY;INTERVAL=2;BYDAY=FR';
  expect(written(read(rule))).toBe(rule);
});

test('days keep their order, and one always stays', () => {
  expect(toggled(['FR'], 'MO', WEEKDAYS)).toEqual(['MO', 'FR']);
  expect(toggled(['FR'], 'FR', WEEKDAYS)).toEqual(['FR']);
});
