export { AddressBook } from './parts/AddressBook';
export { GroupForm } from './parts/GroupForm';
export { PersonForm } from './parts/PersonForm';
export { newGroup, newPerson } from './model';
export { useAddressBook } from './queries';
