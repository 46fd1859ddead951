import { problemText } from '../../../api/problem';
import { counted } from '../../../lib/numbers';
import { Sheet } from '../../../ui/Sheet';
import { Empty, Loading, Trouble } from '../../../ui/States';
import { useEvidenceDays } from '../../mailbox';
import { useSuggestions } from '../queries';
import { Suggestions } from './Suggestions';

interface Props {
  wanted: number[];
  unwanted: number[];
  open: boolean;
  onClose: () => void;
}

/** Two or three ways to pick the examples and leave out the counter-examples. */
export function SuggestedCriteria({ wanted, unwanted, open, onClose }: Props) {
  const suggestions = useSuggestions(wanted, unwanted, open);
  const days = useEvidenceDays();
  const data = suggestions.data;
  return (
    <Sheet title="Suggested criteria" open={open} onClose={onClose}>
      {suggestions.isPending && <Loading what="Comparing messages" />}
      {suggestions.isError && (
        <Trouble text={problemText(suggestions.error)} onRetry={() => void suggestions.refetch()} />
      )}
      {data?.suggestions.length === 0 && (
        <Empty>
          These messages have nothing in common that others lack. Add a few more examples, or start from one
          of them.
        </Empty>
      )}
      {data && (
        <Suggestions
          suggestions={data.suggestions}
          wanted={data.wanted}
          example={wanted[wanted.length - 1]}
          examples={{ wanted, unwanted }}
          figures={(one) => (
            <>
              picks {one.takes} of the {counted(data.wanted, 'example')}
              {data.unwanted > 0 &&
                `, and ${one.wrong.length === 0 ? 'none' : one.wrong.length} of the ${counted(data.unwanted, 'counter-example')}`}
              ; also picks {counted(one.elsewhere, 'other')} from the last {days} days
            </>
          )}
        />
      )}
    </Sheet>
  );
}
