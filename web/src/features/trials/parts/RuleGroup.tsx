import { useState } from 'react';
import { Link } from 'react-router';
import { problemText } from '../../../api/problem';
import { counted } from '../../../lib/numbers';
import { Button } from '../../../ui/Button';
import { Glyph } from '../../../ui/glyphs';
import { Trouble } from '../../../ui/States';
import { useDone } from '../../mailbox';
import { happeningOf, useRuleBook } from '../../rules';
import { coverageInWords, messagesProposed, proposed, squaresOf, type RuleTrials } from '../model';
import { useKeepMissing, useMissing } from '../queries';
import { MissingRow } from './MissingRow';
import { Squares } from './Squares';
import { TrialRow } from './TrialRow';
import { WriteTrial } from './WriteTrial';

const SHOWN = 6;
/** One more would take no less room than saying that there is one. */
const MISSING_SHOWN = 4;

interface Props {
  of: RuleTrials;
  /** Whether its cases are shown without being asked for. */
  begunOpen: boolean;
  chosen: string | undefined;
  onChoose: (trial: string) => void;
}

/** The trials of one rule, what of it they show, and what is missing. */
export function RuleGroup({ of, begunOpen, chosen, onChoose }: Props) {
  const [all, setAll] = useState(false);
  const [allMissing, setAllMissing] = useState(false);
  const [writing, setWriting] = useState(false);
  const keep = useKeepMissing();
  const { tell } = useDone();
  const [open, setOpen] = useState(begunOpen || of.trials.length > 0);
  const lacks = of.cases.some((one) => one.shownBy === undefined);
  const looked = useMissing(of.rule, open && lacks);
  const cases = looked.data ?? of.cases;
  const missing = lacks ? cases.filter((one) => one.shownBy === undefined) : [];
  const few = of.trials.length <= SHOWN || all;
  const shown = few
    ? of.trials
    : of.trials.filter((trial, i) => i < SHOWN || !trial.holds || trial.id === chosen);
  const many = messagesProposed(missing);
  const keepCases = (cases: string[]) =>
    keep.mutate(
      { rule: of.rule, cases },
      { onSuccess: ({ kept }) => tell({ text: `${counted(kept, 'trial')} kept for “${of.name}”.` }) },
    );
  return (
    <section
      aria-label={of.name}
      data-rule={of.rule}
      className="overflow-hidden rounded-md border border-line bg-sheet"
    >
      <div className="flex flex-wrap items-center gap-x-2.5 gap-y-1 border-b border-line px-3 py-1.5">
        <Picture rule={of.rule} />
        <h2 className="min-w-0 truncate font-semibold">
          <Link className="hover:underline" to={`/rules/${of.rule}`}>
            {of.name}
          </Link>
        </h2>
        {!of.on && <span className="text-sm text-ink2">paused</span>}
        <Squares of={squaresOf(of)} />
        <span className="ml-auto text-sm text-ink2">{coverageInWords(of)}</span>
        {many > 1 && (
          <Button
            small
            look="quiet"
            disabled={keep.isPending}
            onClick={() => keepCases(proposed(missing).map((one) => one.key))}
          >
            Keep all {many}
          </Button>
        )}
        {!open && (
          <Button small look="quiet" onClick={() => setOpen(true)}>
            Show its cases
          </Button>
        )}
        <Button small look="quiet" onClick={() => setWriting(true)}>
          Write one …
        </Button>
      </div>
      {keep.isError && <Trouble text={problemText(keep.error)} />}
      {looked.isError && <Trouble text={problemText(looked.error)} onRetry={() => void looked.refetch()} />}
      {writing && <WriteTrial rule={of.rule} name={of.name} onClose={() => setWriting(false)} />}
      {shown.map((trial) => (
        <TrialRow key={trial.id} trial={trial} chosen={trial.id === chosen} onChoose={onChoose} />
      ))}
      {shown.length < of.trials.length && (
        <More words={`${of.trials.length - shown.length} more`} onMore={() => setAll(true)} />
      )}
      {open &&
        missing
          .slice(0, allMissing ? undefined : MISSING_SHOWN)
          .map((one) => (
            <MissingRow
              key={one.key}
              one={one}
              looking={looked.isPending}
              busy={keep.isPending}
              onKeep={() => keepCases([one.key])}
            />
          ))}
      {open && !allMissing && missing.length > MISSING_SHOWN && (
        <More words={`${missing.length - MISSING_SHOWN} more missing`} onMore={() => setAllMissing(true)} />
      )}
    </section>
  );
}

function More({ words, onMore }: { words: string; onMore: () => void }) {
  return (
    <button
      type="button"
      className="w-full border-b border-line px-3 py-1.5 text-left text-sm text-moss last:border-b-0 hover:underline"
      onClick={onMore}
    >
      {words}
    </button>
  );
}

/** What the rule does first. */
function Picture({ rule }: { rule: string }) {
  const first = useRuleBook().data?.document.rules.find((one) => one.id === rule)?.does[0];
  return first ? <Glyph of={happeningOf(first)} /> : null;
}
