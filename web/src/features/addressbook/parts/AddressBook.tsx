import { useState } from 'react';
import { problemText } from '../../../api/problem';
import { counted } from '../../../lib/numbers';
import { Button } from '../../../ui/Button';
import { TextField } from '../../../ui/Field';
import { Question } from '../../../ui/Question';
import { Sheet } from '../../../ui/Sheet';
import { Empty, Loading, Trouble } from '../../../ui/States';
import { Destinations } from '../../destinations';
import { useDone } from '../../mailbox';
import { found, groupsOf, newGroup, newPerson, shown, type GroupView, type PersonView } from '../model';
import { TrialsOfPerson } from '../../trials';
import { useAddressBook, useRemoveGroup, useRemovePerson } from '../queries';
import { Cards } from './Cards';
import { Duplicates } from './Duplicates';
import { GroupForm } from './GroupForm';
import { PersonForm } from './PersonForm';

type Edited = { person: PersonView } | { group: GroupView };

/** People and groups: who mail is handed on to by name, and whom criteria know. */
export function AddressBook() {
  const book = useAddressBook();
  const [typed, setTyped] = useState('');
  const [edited, setEdited] = useState<Edited>();
  const [removing, setRemoving] = useState<Edited>();
  const removePerson = useRemovePerson();
  const removeGroup = useRemoveGroup();
  const done = useDone();
  if (book.isPending) {
    return <Loading what="Loading the address book" />;
  }
  if (book.isError) {
    return (
      <div className="p-4">
        <Trouble text={problemText(book.error)} onRetry={() => void book.refetch()} />
      </div>
    );
  }
  const { people, groups, ownDomains } = book.data;
  const listed = found(people, typed);
  const failed = removePerson.error ?? removeGroup.error;
  const saved = (name: string) => {
    setEdited(undefined);
    done.tell({ text: `“${name}” is in the address book.` });
  };
  return (
    <div className="h-full min-h-0 overflow-auto min-[760px]:flex min-[760px]:overflow-visible">
      <section data-region aria-label="People" className="flex min-w-0 grow flex-col">
        <div className="flex flex-wrap items-center gap-3 px-4 pt-3.5 pb-2.5">
          <h1 className="text-lg font-bold">Address book</h1>
          <TextField
            label="Find somebody"
            hideLabel
            className="w-64"
            placeholder="name, address or organisation"
            value={typed}
            onChange={(e) => setTyped(e.target.value)}
          />
          <Button small look="go" onClick={() => setEdited({ person: newPerson() })}>
            New person
          </Button>
          <Cards people={people.length} />
        </div>
        {failed !== null && (
          <div className="px-4 pb-2">
            <Trouble text={problemText(failed)} />
          </div>
        )}
        <Duplicates book={book.data} />
        <div
          className="min-h-0 grow overflow-auto border-t border-line bg-sheet"
          tabIndex={0}
          role="region"
          aria-label="The people"
        >
          {people.length === 0 && (
            <Empty>
              <p>Nobody yet.</p>
              <p className="mt-2">
                People you add here count as known. Rules can name them, and templates use their details.
                Import a vCard file, or add one person.
              </p>
            </Empty>
          )}
          {people.length > 0 && listed.length === 0 && <Empty>Nobody like “{typed}”.</Empty>}
          {listed.length > 0 && (
            <table className="w-full table-fixed text-left">
              <caption className="sr-only">{counted(listed.length, 'person', 'people')}</caption>
              <thead className="text-[12.5px] text-ink2">
                <tr>
                  <th className="w-[38%] py-1 pl-4 font-normal min-[760px]:w-[22%]">name</th>
                  <th className="font-normal">addresses</th>
                  <th className="hidden w-[20%] font-normal min-[760px]:table-cell">organisation</th>
                  <th className="hidden w-[14%] font-normal min-[760px]:table-cell">groups</th>
                  <th className="w-[92px] font-normal">
                    <span className="sr-only">what you can do</span>
                  </th>
                </tr>
              </thead>
              <tbody>
                {listed.map((person) => (
                  <tr key={person.id} className="border-t border-line align-top">
                    <td className="truncate py-1.5 pr-2 pl-4">
                      <button
                        type="button"
                        className="max-w-full truncate font-semibold hover:underline"
                        onClick={() => setEdited({ person })}
                      >
                        {shown(person)}
                      </button>
                      <span className="block truncate text-sm text-ink2">{person.written.phone}</span>
                    </td>
                    <td className="py-1.5 pr-2 break-words">{person.written.addresses.join(', ')}</td>
                    <td className="hidden truncate py-1.5 pr-2 min-[760px]:table-cell">
                      {person.written.organisation}
                    </td>
                    <td className="hidden truncate py-1.5 pr-2 min-[760px]:table-cell">
                      {groupsOf(person, groups).join(', ')}
                    </td>
                    <td className="py-1.5 pr-4 text-right">
                      <Button small look="quiet" onClick={() => setRemoving({ person })}>
                        Remove …
                      </Button>
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
        </div>
      </section>
      <section
        data-region
        aria-label="Groups"
        className="shrink-0 border-line px-4 py-3.5 max-[760px]:border-t min-[760px]:w-[280px] min-[760px]:overflow-auto min-[760px]:border-l"
      >
        <div className="flex items-baseline gap-2">
          <h2 className="grow font-bold">Groups</h2>
          <Button small onClick={() => setEdited({ group: newGroup() })}>
            New group
          </Button>
        </div>
        {groups.length === 0 && (
          <p className="mt-1.5 text-sm text-ink2">
            A group is a list of people. Rules can send mail to a group, or check whether the sender is in it.
          </p>
        )}
        <ul className="mt-1">
          {groups.map((group) => (
            <li key={group.id} className="border-t border-line py-1.5">
              <span className="flex items-baseline gap-2">
                <button
                  type="button"
                  className="min-w-0 grow truncate text-left font-semibold hover:underline"
                  onClick={() => setEdited({ group })}
                >
                  {group.written.name}
                </button>
                <Button small look="quiet" onClick={() => setRemoving({ group })}>
                  Remove …
                </Button>
              </span>
              <span className="block text-sm text-ink2">
                {counted(group.written.members.length, 'address', 'addresses')}
                {group.usedBy.length > 0 && ` · used by ${group.usedBy.join(', ')}`}
              </span>
            </li>
          ))}
        </ul>
        <div className="mt-5">
          <Destinations />
        </div>
        <h2 className="mt-5 font-bold">Own domains</h2>
        <p className="mt-1 text-sm text-ink2">
          Mail to {ownDomains.join(', ')} stays inside the organisation, so it needs nobody’s agreement. The
          settings of the mailbox list these domains.
        </p>
      </section>
      <Sheet
        title={edited === undefined ? '' : 'person' in edited ? 'A person' : 'A group'}
        open={edited !== undefined}
        onClose={() => setEdited(undefined)}
      >
        {edited && 'person' in edited && (
          <>
            <PersonForm key={edited.person.id} person={edited.person} onSaved={(now) => saved(shown(now))} />
            <TrialsOfPerson addresses={edited.person.written.addresses} />
          </>
        )}
        {edited && 'group' in edited && (
          <GroupForm key={edited.group.id} group={edited.group} onSaved={(now) => saved(now.written.name)} />
        )}
      </Sheet>
      <Question
        open={removing !== undefined}
        title={`Remove “${removing === undefined ? '' : 'person' in removing ? shown(removing.person) : removing.group.written.name}”?`}
        yes="Remove it"
        onNo={() => setRemoving(undefined)}
        onYes={() => {
          if (removing && 'person' in removing) {
            removePerson.mutate(removing.person.id);
          } else if (removing) {
            removeGroup.mutate(removing.group.id);
          }
          setRemoving(undefined);
        }}
      >
        No mail changes. Rules about known people no longer include them.
      </Question>
    </div>
  );
}
