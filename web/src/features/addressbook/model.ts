import type { Schemas } from '../../api/client';

export type Book = Schemas['AddressBookView'];
export type PersonView = Schemas['PersonView'];
export type PersonText = Schemas['PersonText'];
export type GroupView = Schemas['GroupView'];

export function newPerson(address = ''): PersonView {
  return {
    id: crypto.randomUUID(),
    written: { name: '', addresses: address === '' ? [] : [address], organisation: '', phone: '', note: '' },
  };
}

export function newGroup(): GroupView {
  return { id: crypto.randomUUID(), written: { name: '', members: [] }, usedBy: [] };
}

/** The name, or the first address where there is none. */
export function shown({ written }: PersonView): string {
  return written.name || (written.addresses[0] ?? '');
}

/** People of whom anything contains the words typed. */
export function found(people: PersonView[], typed: string): PersonView[] {
  const words = typed.trim().toLowerCase();
  return people.filter(({ written }) =>
    [written.name, written.organisation, written.phone, ...written.addresses]
      .join('\n')
      .toLowerCase()
      .includes(words),
  );
}

/** Groups that one of a person's addresses is in. */
export function groupsOf(person: PersonView, groups: GroupView[]): string[] {
  const addresses = person.written.addresses.map((address) => address.toLowerCase());
  return groups
    .filter((group) => group.written.members.some((member) => addresses.includes(member.toLowerCase())))
    .map((group) => group.written.name);
}

/** What came of taking cards in, in one line. */
export function takenInWords({ added, completed, groups }: Schemas['CardsTaken']): string {
  const parts = [
    `${added} added`,
    ...(completed > 0 ? [`${completed} completed`] : []),
    ...(groups > 0 ? [`${groups} ${groups === 1 ? 'group' : 'groups'}`] : []),
  ];
  return `Imported: ${parts.join(', ')}.`;
}
