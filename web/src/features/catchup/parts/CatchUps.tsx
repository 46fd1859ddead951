import { problemText } from '../../../api/problem';
import { Empty, Loading, Trouble } from '../../../ui/States';
import { useRuleBook } from '../../rules';
import { useCatchUps } from '../queries';
import { NewCatchUp } from './NewCatchUp';
import { OneCatchUp } from './OneCatchUp';

/** Rules carried out on mail that is already there: begun, looked over, under way and done. */
export function CatchUps() {
  const catchUps = useCatchUps();
  const book = useRuleBook();
  if (catchUps.isPending || book.isPending) {
    return <Loading what="Loading the catch-ups" />;
  }
  if (catchUps.isError || book.isError) {
    return (
      <div className="p-4">
        <Trouble
          text={problemText(catchUps.error ?? book.error)}
          onRetry={() => {
            void catchUps.refetch();
            void book.refetch();
          }}
        />
      </div>
    );
  }
  const rules = book.data.document.rules.filter((rule) => rule.on);
  return (
    <section data-region aria-label="Catch up" className="h-full min-h-0 overflow-auto px-4 py-3.5">
      <div className="mb-2.5 flex flex-wrap items-baseline gap-x-2.5 gap-y-1">
        <h1 className="text-lg font-bold">Catch up</h1>
        <span className="text-sm text-ink2">
          Rules carried out on mail that is already there. Nothing is done before you have looked it over.
        </span>
      </div>
      <NewCatchUp rules={rules} />
      {catchUps.data.length === 0 ? (
        <Empty>
          Nothing was caught up on yet. Choose a rule and folders above: you see first which messages it would
          act on.
        </Empty>
      ) : (
        <ul className="mt-3 grid gap-3" aria-label="Catch-ups">
          {catchUps.data.map((one, i) => (
            <OneCatchUp key={one.id} of={one} first={i === 0} />
          ))}
        </ul>
      )}
    </section>
  );
}
