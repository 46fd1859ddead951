import { expect, test } from 'vitest';
import { found, groupsOf, newPerson, shown, takenInWords, type PersonView } from './model';

const noor: PersonView = {
  id: '1',
  written: {
    name: 'Noor Adel',
    addresses: ['noor@ostrel-gardens.example', 'Noor@home.example'],
    organisation: 'Guides',
    phone: '+46 8 123',
    note: '',
  },
};

test('people are found by name, address, organisation or telephone number', () => {
  const all = [noor, newPerson('tom@ostrel-gardens.example')];
  expect(found(all, 'ADEL').map(shown)).toEqual(['Noor Adel']);
  expect(found(all, 'home.ex').map(shown)).toEqual(['Noor Adel']);
  expect(found(all, 'tom@').map(shown)).toEqual(['tom@ostrel-gardens.example']);
  expect(found(all, '')).toHaveLength(2);
});

test('a person is in a group by any of their addresses', () => {
  const group = (name: string, member: string) => ({
    id: name,
    written: { name, members: [member] },
    usedBy: [],
  });
  expect(groupsOf(noor, [group('Guides', 'noor@HOME.example'), group('Shop', 'x@home.example')])).toEqual([
    'Guides',
  ]);
});

test('what came of cards is said in one line', () => {
  expect(takenInWords({ added: 3, completed: 1, groups: 1, notTaken: [] })).toBe(
    'Imported: 3 added, 1 completed, 1 group.',
  );
});
