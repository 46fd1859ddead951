import type { ReactNode } from 'react';
import { useNavigate } from 'react-router';
import type { Schemas } from '../../../api/client';
import { count } from '../../../lib/numbers';
import { Button } from '../../../ui/Button';
import { useBeginRule } from '../../drafts';
import { ShortDate } from '../../mailbox';

interface Props {
  suggestions: Schemas['SuggestionView'][];
  /** How many messages the criteria are for. */
  wanted: number;
  /** What a suggestion picks, in words. */
  figures: (suggestion: Schemas['SuggestionView']) => ReactNode;
  /** The message that a rule from them begins with. */
  example: number | undefined;
  /** They become its trials once it is saved. */
  examples?: { wanted: number[]; unwanted: number[] };
}

/** Suggested criteria, the best first; one of them becomes a rule. */
export function Suggestions({ suggestions, wanted, figures, example, examples }: Props) {
  const begin = useBeginRule();
  const navigate = useNavigate();
  const take = (suggestion: Schemas['SuggestionView']) =>
    void begin(suggestion.picksOut, example, examples).then((id) => navigate(`/rules/${id}`));
  return (
    <ol className="grid gap-3">
      {suggestions.map((suggestion, i) => (
        <li key={i} className="rounded-md border border-line px-3 py-2.5">
          <p className="first-letter:uppercase">Mail {suggestion.clause.words}</p>
          <p className="mt-1 text-sm text-ink2">{figures(suggestion)}</p>
          <Lines head="misses" lines={suggestion.missed} all={wanted - suggestion.takes} />
          <Lines head="wrongly picks" lines={suggestion.wrong} all={suggestion.wrong.length} />
          <Lines head="also picks" lines={suggestion.examples} all={suggestion.elsewhere} />
          <Button small look={i === 0 ? 'go' : 'plain'} className="mt-2" onClick={() => take(suggestion)}>
            Use these criteria
          </Button>
        </li>
      ))}
    </ol>
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
          <span className="figures text-ink2">
            <ShortDate of={line.received} />
          </span>
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
