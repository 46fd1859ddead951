import { useState } from 'react';
import { problemText } from '../../../api/problem';
import { counted } from '../../../lib/numbers';
import { Button } from '../../../ui/Button';
import { Glyph } from '../../../ui/glyphs';
import { Sheet } from '../../../ui/Sheet';
import { Loading, Trouble } from '../../../ui/States';
import { useDone } from '../../mailbox';
import { all, refusedInWords, undoneInWords } from '../model';
import { useUndo, useUndoPreview, type UndoRequest } from '../queries';

/** One thing that can be undone as a whole. */
export interface UndoChoice {
  words: string;
  request: UndoRequest;
}

interface Props {
  /** The narrowest first; none while the sheet is closed. */
  choices: UndoChoice[];
  onClose: () => void;
}

/** Shows what undoing would change and what can't be undone, before it is done. */
export function UndoSheet({ choices, onClose }: Props) {
  return (
    <Sheet title="Undo" open={choices.length > 0} onClose={onClose}>
      {choices.length > 0 && <Choosing choices={choices} onClose={onClose} />}
    </Sheet>
  );
}

function Choosing({ choices, onClose }: Props) {
  const [at, setAt] = useState(0);
  const chosen = choices[at];
  return (
    <div className="grid gap-4">
      {choices.length === 1 && <p className="font-semibold">{chosen?.words}</p>}
      {choices.length > 1 && (
        <fieldset className="grid gap-1">
          <legend className="text-sm text-ink2">What is to be undone</legend>
          {choices.map((choice, i) => (
            <label key={choice.words} className="flex items-baseline gap-2">
              <input
                type="radio"
                name="undo"
                className="accent-moss"
                checked={i === at}
                onChange={() => setAt(i)}
              />
              {choice.words}
            </label>
          ))}
        </fieldset>
      )}
      {chosen && <Preview key={at} of={chosen} onClose={onClose} />}
    </div>
  );
}

function Preview({ of, onClose }: { of: UndoChoice; onClose: () => void }) {
  const preview = useUndoPreview(of.request);
  const undo = useUndo();
  const { tell } = useDone();
  if (preview.isPending) {
    return <Loading what="Looking into the folders" />;
  }
  if (preview.isError) {
    return <Trouble text={problemText(preview.error)} onRetry={() => void preview.refetch()} />;
  }
  const { can, cannot, looked } = preview.data;
  const steps = all(preview.data);
  const start = () =>
    undo.mutate(of.request, {
      onSuccess: (planned) => {
        tell({
          text: `${counted(planned.steps, 'step')} ${planned.steps === 1 ? 'is' : 'are'} being undone. Records shows how far it is.`,
        });
        onClose();
      },
    });
  return (
    <>
      {steps > 0 && (
        <ul className="grid gap-1" aria-label="What is undone">
          {can.map((one) => (
            <li key={one.kind} className="flex items-start gap-2">
              <span className="mt-0.5">
                <Glyph of={one.kind} />
              </span>
              {undoneInWords(one)}
            </li>
          ))}
        </ul>
      )}
      {cannot.length > 0 && (
        <div>
          <h3 className="font-semibold">{steps > 0 ? 'Stays as it is' : 'Nothing of it can be undone'}</h3>
          <ul className="mt-1 grid gap-1 text-ink2">
            {cannot.map((one) => (
              <li key={one.why.code}>{refusedInWords(one)}</li>
            ))}
          </ul>
        </div>
      )}
      {steps === 0 && cannot.length === 0 && <p className="text-ink2">There is nothing to undo.</p>}
      {!looked && (
        <p role="status" className="bg-clay-soft px-3 py-2">
          Jubek can’t reach the mail server, so it does not know yet which messages somebody has moved since.
        </p>
      )}
      {undo.isError && <Trouble text={problemText(undo.error)} />}
      {steps > 0 && (
        <div>
          <p className="mb-2 text-sm text-ink2">
            The rules don’t act on these messages again. What somebody moved, deleted or marked since is left
            to them.
          </p>
          <Button look="go" disabled={undo.isPending} onClick={start}>
            Undo {counted(steps, 'step')}
          </Button>
        </div>
      )}
    </>
  );
}
