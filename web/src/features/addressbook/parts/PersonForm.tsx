import { useState } from 'react';
import { problemText } from '../../../api/problem';
import { Button } from '../../../ui/Button';
import { TextArea, TextField } from '../../../ui/Field';
import { Trouble } from '../../../ui/States';
import type { PersonText, PersonView } from '../model';
import { useSavePerson } from '../queries';

interface Props {
  person: PersonView;
  onSaved: (person: PersonView) => void;
}

/** Somebody in the address book. */
export function PersonForm({ person, onSaved }: Props) {
  const [written, setWritten] = useState<PersonText>(person.written);
  const [addresses, setAddresses] = useState(person.written.addresses.join('\n'));
  const saving = useSavePerson();
  const set = (changed: Partial<PersonText>) => setWritten({ ...written, ...changed });
  return (
    <form
      className="grid gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        const all = addresses
          .split(/[\s,;]+/)
          .map((address) => address.trim())
          .filter((address) => address !== '');
        saving
          .mutateAsync({ id: person.id, written: { ...written, addresses: all } })
          .then(onSaved)
          .catch(() => undefined);
      }}
    >
      <TextField label="Name" value={written.name} onChange={(e) => set({ name: e.target.value })} />
      <TextArea
        label="Addresses, one per line; the first one gets the mail"
        rows={2}
        value={addresses}
        onChange={(e) => setAddresses(e.target.value)}
      />
      <TextField
        label="Organisation"
        value={written.organisation}
        onChange={(e) => set({ organisation: e.target.value })}
      />
      <TextField label="Telephone" value={written.phone} onChange={(e) => set({ phone: e.target.value })} />
      <TextArea label="Note" rows={2} value={written.note} onChange={(e) => set({ note: e.target.value })} />
      {saving.isError && <Trouble text={problemText(saving.error)} />}
      <div>
        <Button type="submit" look="go" disabled={saving.isPending || addresses.trim() === ''}>
          Save the person
        </Button>
      </div>
    </form>
  );
}
