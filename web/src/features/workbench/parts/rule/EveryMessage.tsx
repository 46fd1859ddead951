import { useEvidenceDays } from '../../../mailbox';
import { useState } from 'react';
import { counted } from '../../../../lib/numbers';
import { Button } from '../../../../ui/Button';
import { Question } from '../../../../ui/Question';
import { emptyTest, item, type Criterion } from '../../../criteria';
import type { Draft } from '../../model';

interface Props {
  draft: Draft;
  /** The order behind all other rules. */
  last: number;
  window: number | undefined;
  onChange: (draft: Draft) => void;
}

/** A rule for every message: a choice of its own, with a yes that states what it means. */
export function EveryMessage({ draft, last, window, onChange }: Props) {
  const days = useEvidenceDays();
  const [asked, setAsked] = useState(false);
  if (draft.everything) {
    return (
      <div className="grow">
        <p className="mb-1">Every message, without any criterion.</p>
        <Button
          small
          onClick={() =>
            onChange({ ...draft, everything: false, picksOut: [item(emptyTest('words') as Criterion)] })
          }
        >
          Use criteria instead
        </Button>
      </div>
    );
  }
  return (
    <>
      <Button small look="quiet" onClick={() => setAsked(true)}>
        Every message …
      </Button>
      <Question
        open={asked}
        title="Pick every message?"
        yes="Yes, every message"
        onNo={() => setAsked(false)}
        onYes={() => {
          setAsked(false);
          // So broad a rule does not get in the way of the others.
          onChange({ ...draft, everything: true, picksOut: [], order: last });
        }}
      >
        This rule would pick out everything that comes in
        {window === undefined ? '.' : `: ${counted(window, 'message')} in the last ${days} days.`}
      </Question>
    </>
  );
}
