import { Button } from '../../../ui/Button';
import { Menu } from '../../../ui/Menu';
import { useAddressBook } from '../../addressbook';
import { useFrequent } from '../queries';

interface Props {
  of: 'SENDER' | 'RECIPIENT';
  values: string[];
  onAdd: (addresses: string[]) => void;
  /** Sender criteria can follow a group; nothing where that is not so. */
  onGroup?: ((name: string) => void) | undefined;
}

/** People, groups and frequent addresses of past mail, to choose from instead of typing. */
export function FromAddressBook({ of, values, onAdd, onGroup }: Props) {
  const book = useAddressBook().data;
  const frequent = useFrequent(of).data?.completions ?? [];
  const all = book?.people ?? [];
  const isShared = (name: string) => all.filter(({ written }) => written.name === name).length > 1;
  const people = all.flatMap(({ written: { name, addresses } }) => {
    const address = addresses[0] ?? '';
    const text = name === '' ? address : isShared(name) ? `${name} <${address}>` : name;
    return address === '' || values.includes(address) ? [] : [{ address, text }];
  });
  const groups = book?.groups ?? [];
  return (
    <Menu
      trigger={
        <Button small look="quiet" className="mt-1 -ml-2">
          choose people …
        </Button>
      }
      groups={[
        {
          name: of === 'SENDER' ? 'who writes most' : 'written to most',
          items: frequent
            .filter((one) => !values.includes(one.value))
            .map((one) => ({ text: one.value, onSelect: () => onAdd([one.value]) })),
        },
        {
          name: 'groups',
          items: groups.map(({ written: { name, members } }) => ({
            text: onGroup ? `anybody in ${name}` : `the ${members.length} in ${name}`,
            onSelect: () => (onGroup ? onGroup(name) : onAdd(members)),
          })),
        },
        {
          name: 'address book',
          items: people.map(({ address, text }) => ({ text, onSelect: () => onAdd([address]) })),
        },
      ].filter((group) => group.items.length > 0)}
    />
  );
}
