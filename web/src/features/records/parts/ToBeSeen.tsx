import { problemText } from '../../../api/problem';
import { Trouble } from '../../../ui/States';
import { useBroughtBack, useUnanswered } from '../queries';
import { RecordTable } from './RecordTable';

/** As far back as messages are explained. */
const DAYS_KEPT = 180;

/** Messages that somebody has to see to: without the reply of their rule, or back as nobody dealt with them. */
export function ToBeSeen({ of }: { of: 'unanswered' | 'brought-back' }) {
  const unanswered = useUnanswered(DAYS_KEPT);
  const broughtBack = useBroughtBack(DAYS_KEPT);
  const records = of === 'unanswered' ? unanswered : broughtBack;
  return (
    <>
      {records.isError && (
        <div className="px-4 pb-2">
          <Trouble text={problemText(records.error)} onRetry={() => void records.refetch()} />
        </div>
      )}
      <RecordTable
        records={records.data}
        changes={[]}
        empty={
          of === 'unanswered'
            ? 'No message left the inbox without the answer of its rule, or somebody has seen to each.'
            : 'No message came back because nobody dealt with it, or somebody has seen to each.'
        }
      />
    </>
  );
}
