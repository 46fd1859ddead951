import { useEvidenceDays } from '../../mailbox';
import { useNavigate } from 'react-router';
import type { Schemas } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { count, counted } from '../../../lib/numbers';
import { shortDate } from '../../../lib/dates';
import { Button } from '../../../ui/Button';
import { Sheet } from '../../../ui/Sheet';
import { Empty, Loading, Trouble } from '../../../ui/States';
import { useBeginRule } from '../../drafts';
import { useSuggestions } from '../queries';

interface Props {
  wanted: number[];
  unwanted: number[];
  open: boolean;
  onClose: () => void;
}

/** Two or three ways to pick the examples and leave out the counter-examples; one of them becomes a rule. */
export function SuggestedCriteria({ wanted, unwanted, open, onClose }: Props) {
  const suggestions = useSuggestions(wanted, unwanted, open);
  const days = useEvidenceDays();
  const begin = useBeginRule();
  const navigate = useNavigate();
  const take = (suggestion: Schemas['SuggestionView']) =>
    void begin(suggestion.picksOut, wanted[wanted.length - 1]).then((id) => navigate(`/rules/${id}`));
  return (
    <Sheet title="Suggested criteria" open={open} onClose={onClose}>
      {suggestions.isPending && <Loading what="Comparing messages" />}
      {suggestions.isError && (
        <Trouble text={problemText(suggestions.error)} onRetry={() => void suggestions.refetch()} />
      )}
      {suggestions.data?.suggestions.length === 0 && (
        <Empty>
          These messages have nothing in common that others lack. Add a few more examples, or start from one
          of them.
        </Empty>
      )}
      <ol className="grid gap-3">
        {suggestions.data?.suggestions.map((suggestion, i) => (
          <li key={i} className="rounded-md border border-line px-3 py-2.5">
            <p className="first-letter:uppercase">Mail {suggestion.clause.words}</p>
            <p className="mt-1 text-sm text-ink2">
              picks {suggestion.takes} of the {counted(suggestions.data.wanted, 'example')}
              {suggestions.data.unwanted > 0 &&
                `, and ${suggestion.wrong.length === 0 ? 'none' : suggestion.wrong.length} of the ${counted(suggestions.data.unwanted, 'counter-example')}`}
              ; also picks {counted(suggestion.elsewhere, 'other')} from the last {days} days
            </p>
            <Lines head="misses" lines={suggestion.missed} all={suggestions.data.wanted - suggestion.takes} />
            <Lines head="wrongly picks" lines={suggestion.wrong} all={suggestion.wrong.length} />
            <Lines head="also picks" lines={suggestion.examples} all={suggestion.elsewhere} />
            <Button small look={i === 0 ? 'go' : 'plain'} className="mt-2" onClick={() => take(suggestion)}>
              Use these criteria
            </Button>
          </li>
        ))}
      </ol>
    </Sheet>
  );
}

function Lines({ head, lines, all }: { head: string; lines: Schemas['Line'][]; all: number }) {
  if (lines.length === 0) {
    return null;
  }
  return (
    <ul className="mt-1.5 text-sm">
      {lines.map((line, i) => (
        <li key={line.id} className="grid grid-cols-[92px_52px_minmax(0,1fr)] gap-2">
          <span className="text-ink2">{i === 0 ? head : ''}</span>
          <span className="figures text-ink2">{shortDate(line.received)}</span>
          <span className="truncate">
            {line.subject || '(no subject)'} <span className="text-ink2">· {line.sender}</span>
          </span>
        </li>
      ))}
      {all > lines.length && (
        <li className="grid grid-cols-[92px_1fr] gap-2 text-ink2">
          <span />
          and {count(all - lines.length)} more
        </li>
      )}
    </ul>
  );
}
