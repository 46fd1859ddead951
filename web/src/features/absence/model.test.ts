import { expect, test } from 'vitest';
import { absenceOfRule, isWhole, newForm, NOBODY, shortDays, standingInWords, type Form } from './model';

const FORM: Form = { ...newForm('2026-12-22', '2027-01-01'), templates: ['away'] };

test('an absence is whole once it says what is answered and what is handed over', () => {
  expect(isWhole(FORM)).toBe(true);
  expect(isWhole({ ...FORM, templates: [] })).toBe(false);
  expect(isWhole({ ...FORM, templates: [], audience: 'NOBODY' })).toBe(true);
  expect(isWhole({ ...FORM, audience: 'GROUPS' })).toBe(false);
  expect(isWhole({ ...FORM, last: '2026-12-21' })).toBe(false);
  expect(isWhole({ ...FORM, takingOver: { ...NOBODY, address: 'noor@ostrel-gardens.example' } })).toBe(true);
  expect(isWhole({ ...FORM, takingOver: { ...NOBODY, address: 'noor@x.example', share: 'OF_RULES' } })).toBe(
    false,
  );
});

test('its days are told shortly', () => {
  expect(shortDays({ first: '2026-12-01', last: '2026-12-07' }, '2026-11-28')).toBe('1 to 7 Dec');
  expect(shortDays({ first: '2026-12-24', last: '2026-12-24' }, '2026-11-28')).toBe('24 Dec');
  expect(shortDays(FORM, '2026-11-28')).toBe('22 Dec to 1 Jan 2027');
});

test('how it stands with the substitute is said by name where there is one', () => {
  const over = { ...NOBODY, address: 'noor@ostrel-gardens.example', name: 'Noor Adel' };
  expect(standingInWords({ form: { ...FORM, takingOver: over }, standing: 'DECLINED' })).toBe(
    'Noor Adel declined',
  );
  expect(standingInWords({ form: FORM, standing: 'NOT_ASKED' })).toBe('');
});

test('the rules of an absence lead to it', () => {
  expect(absenceOfRule('absence-5c2b-hand-over')).toBe('5c2b');
  expect(absenceOfRule('absence-5c2b-answer')).toBe('5c2b');
  expect(absenceOfRule('absences')).toBeUndefined();
});
