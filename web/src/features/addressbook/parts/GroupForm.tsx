import { useState } from 'react';
import { problemText } from '../../../api/problem';
import { Button } from '../../../ui/Button';
import { TextArea, TextField } from '../../../ui/Field';
import { Trouble } from '../../../ui/States';
import { shown, type GroupView } from '../model';
import { useAddressBook, useSaveGroup } from '../queries';

interface Props {
  group: GroupView;
  onSaved: (group: GroupView) => void;
}

/** People who are meant together: ticked from the address book, or typed. */
export function GroupForm({ group, onSaved }: Props) {
  const book = useAddressBook();
  const saving = useSaveGroup();
  const [name, setName] = useState(group.written.name);
  const [members, setMembers] = useState(group.written.members);
  const people = book.data?.people ?? [];
  const listed = new Set(people.flatMap((person) => person.written.addresses.map((a) => a.toLowerCase())));
  const [others, setOthers] = useState<string>();
  const typed = others ?? members.filter((member) => !listed.has(member.toLowerCase())).join('\n');
  const has = (address: string) => members.some((member) => member.toLowerCase() === address.toLowerCase());
  const all = () => [
    ...members.filter((member) => listed.has(member.toLowerCase())),
    ...typed.split(/[\s,;]+/).filter((address) => address !== ''),
  ];
  return (
    <form
      className="grid gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        saving
          .mutateAsync({ id: group.id, written: { name, members: all() } })
          .then(onSaved)
          .catch(() => undefined);
      }}
    >
      <TextField label="Name of the group" value={name} onChange={(e) => setName(e.target.value)} />
      {group.usedBy.length > 0 && (
        <p className="text-sm text-ink2">
          Its name can’t change while {group.usedBy.map((rule) => `“${rule}”`).join(', ')} uses it.
        </p>
      )}
      {people.length > 0 && (
        <fieldset className="max-h-72 overflow-auto rounded border border-line px-2.5 py-1.5">
          <legend className="px-1 text-sm text-ink2">from the address book</legend>
          {people.map((person) => {
            const address = person.written.addresses[0] ?? '';
            return (
              <label key={person.id} className="flex items-center gap-2 py-0.5">
                <input
                  type="checkbox"
                  className="accent-moss"
                  checked={has(address)}
                  onChange={(e) =>
                    setMembers(
                      e.target.checked
                        ? [...members, address]
                        : members.filter((member) => member.toLowerCase() !== address.toLowerCase()),
                    )
                  }
                />
                <span className="truncate">
                  {shown(person)} <span className="text-sm text-ink2">{person.written.name && address}</span>
                </span>
              </label>
            );
          })}
        </fieldset>
      )}
      <TextArea
        label="Other addresses, one per line"
        rows={3}
        value={typed}
        onChange={(e) => setOthers(e.target.value)}
      />
      {saving.isError && <Trouble text={problemText(saving.error)} />}
      <div>
        <Button type="submit" look="go" disabled={saving.isPending || name.trim() === ''}>
          Save the group
        </Button>
      </div>
    </form>
  );
}
