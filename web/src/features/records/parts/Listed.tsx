import { useDeferredValue } from 'react';
import { useSearchParams } from 'react-router';
import { problemText } from '../../../api/problem';
import { Button } from '../../../ui/Button';
import { Trouble } from '../../../ui/States';
import { countInWords, FIELDS, filterOf } from '../filter';
import { useCsvAddress, useRecordCount, useRecordPages, type State } from '../queries';
import { FilterBar } from './FilterBar';
import { RecordTable } from './RecordTable';

/** What is asked for of the records, by pages. */
export function Listed({ states }: { states: State[] }) {
  const [search] = useSearchParams();
  const filter = filterOf(useDeferredValue(search), states);
  const pages = useRecordPages(filter);
  const counted = useRecordCount(filter);
  const csv = useCsvAddress(filter);
  const asks = FIELDS.some((field) => search.has(field));
  return (
    <>
      <FilterBar />
      <div className="flex flex-wrap items-center gap-3 px-4 pb-2 text-sm text-ink2">
        <span role="status" className="grow">
          {counted.data && `${countInWords(counted.data)}, newest first`}
        </span>
        <a className="font-semibold text-moss hover:underline" href={csv} download>
          Save as a CSV file
        </a>
      </div>
      {pages.isError && (
        <div className="px-4 pb-2">
          <Trouble text={problemText(pages.error)} onRetry={() => void pages.refetch()} />
        </div>
      )}
      <RecordTable
        records={pages.data?.pages.flatMap((page) => page.records)}
        changes={pages.data?.pages.flatMap((page) => page.changes) ?? []}
        empty={
          asks
            ? 'No record is like that. Ask for less.'
            : states.length > 0
              ? 'Nothing here.'
              : 'Nothing has been done yet. When a rule acts on a new message, it appears here with the reason.'
        }
        more={
          pages.hasNextPage && (
            <Button disabled={pages.isFetchingNextPage} onClick={() => void pages.fetchNextPage()}>
              Show more
            </Button>
          )
        }
      />
    </>
  );
}
