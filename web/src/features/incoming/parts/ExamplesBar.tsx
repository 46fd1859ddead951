import { counted } from '../../../lib/numbers';
import { Button } from '../../../ui/Button';
import { useExamples } from '../examples';

/** What lies in the examples, and what to do with it; not there while it is empty. */
export function ExamplesBar({ onPropose }: { onPropose: () => void }) {
  const { examples, clear } = useExamples();
  const { wanted, unwanted } = examples;
  if (wanted.length + unwanted.length === 0) {
    return null;
  }
  return (
    <div
      data-region
      role="region"
      aria-label="Examples"
      className="flex flex-wrap items-center gap-2 border-t border-line2 bg-sheet px-4 py-2"
    >
      <span className="grow">
        <b>{counted(wanted.length, 'example')}</b>
        {unwanted.length > 0 && (
          <>
            , <b>{counted(unwanted.length, 'counter-example')}</b>
          </>
        )}
      </span>
      <Button small look="quiet" onClick={clear}>
        Clear
      </Button>
      <Button small look="go" disabled={wanted.length === 0} onClick={onPropose}>
        Start a rule from {wanted.length === 1 ? 'it' : 'them'}
      </Button>
    </div>
  );
}
