import { problemText } from '../../../api/problem';
import { Button } from '../../../ui/Button';
import { Trouble } from '../../../ui/States';
import { shown, type Book, type PersonView } from '../model';
import { useMergePeople } from '../queries';

/** Entries that seem to be of one person, each with the act that makes one of them. */
export function Duplicates({ book }: { book: Book }) {
  const merge = useMergePeople();
  const all = book.duplicates.map((ids) =>
    ids
      .map((id) => book.people.find((person) => person.id === id))
      .filter((person): person is PersonView => person !== undefined),
  );
  if (all.length === 0) {
    return null;
  }
  return (
    <section aria-label="Possible duplicates" className="px-4 pb-2 text-sm">
      {all.map((same) => (
        <p key={same.map((person) => person.id).join(' ')} className="flex items-center gap-2 py-0.5">
          <span className="min-w-0 break-words">
            {same.map((person) => `${shown(person)} (${person.written.addresses.join(', ')})`).join(' and ')}{' '}
            may be the same person.
          </span>
          <Button
            small
            disabled={merge.isPending}
            onClick={() => merge.mutate(same.map((person) => person.id))}
          >
            Merge them
          </Button>
        </p>
      ))}
      {merge.isError && <Trouble text={problemText(merge.error)} />}
    </section>
  );
}
