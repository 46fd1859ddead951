import { expect, test } from 'vitest';
import { byWhen, documentsDue, doneLines, lookAgain } from './model';

test('what was done is named with the most frequent first', () => {
  const lines = doneLines([
    { kind: 'REPLY', messages: 12 },
    { kind: 'REDIRECT', messages: 1031 },
    { kind: 'DELETE', messages: 3 },
    { kind: 'BRING_BACK', messages: 1 },
  ]);
  expect(lines.map((line) => line.words)).toEqual([
    '1,031 redirected',
    '12 replied to',
    '3 deleted for good',
  ]);
});

test('a template is named from the day on which it is due to be checked', () => {
  const template = (lookAgainOn: string) => ({
    id: lookAgainOn,
    version: 1,
    written: {
      name: 'Visits',
      language: 'en-GB',
      subject: '',
      text: 'x',
      rich: '',
      signature: '',
      documents: [],
      fallbacks: {},
      lookAgainOn,
    },
    faults: [],
    usedBy: [],
    savedAt: '2026-03-20T10:00:00Z',
    savedBy: 'Ilse Varga',
  });
  const due = lookAgain([template('2026-11-26'), template('2026-11-27')], '2026-11-26');
  expect(due.map((one) => one.id)).toEqual(['2026-11-26']);
});

test('a document is named from its day on, and one without a day never', () => {
  const document = (id: string, lookAgainOn?: string) => ({
    id,
    fileName: id,
    mediaType: 'text/plain',
    size: 1,
    picture: false,
    added: '2026-01-01',
    savedBy: 'Ilse Varga',
    usedBy: [],
    ...(lookAgainOn ? { lookAgainOn } : {}),
  });
  const due = documentsDue(
    [document('prices', '2026-11-25'), document('plan', '2026-12-01'), document('leaf')],
    '2026-11-26',
  );
  expect(due.map((one) => one.id)).toEqual(['prices']);
});

test('a message is to be looked at today, by tomorrow, or since a day that has passed', () => {
  const today = '2026-11-26';
  expect(byWhen('2026-11-26', today)).toBe('today');
  expect(byWhen('2026-11-27', today)).toBe('by tomorrow');
  expect(byWhen('2026-11-24', today)).toBe('since 24 Nov');
});
