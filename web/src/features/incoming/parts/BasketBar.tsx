import { counted } from '../../../lib/numbers';
import { Button } from '../../../ui/Button';
import { useBasket } from '../basket';

/** What lies in the basket, and what to do with it; not there while it is empty. */
export function BasketBar({ onPropose }: { onPropose: () => void }) {
  const { basket, clear } = useBasket();
  const { wanted, unwanted } = basket;
  if (wanted.length + unwanted.length === 0) {
    return null;
  }
  return (
    <div
      role="region"
      aria-label="Basket"
      className="flex flex-wrap items-center gap-2 border-t border-line2 bg-sheet px-4 py-2"
    >
      <span className="grow">
        In the basket: <b>{counted(wanted.length, 'message')}</b> that{' '}
        {wanted.length === 1 ? 'belongs' : 'belong'}
        {unwanted.length > 0 && (
          <>
            , <b>{unwanted.length}</b> that {unwanted.length === 1 ? 'doesn’t' : 'don’t'}
          </>
        )}
      </span>
      <Button small look="quiet" onClick={clear}>
        empty it
      </Button>
      <Button small look="go" disabled={wanted.length === 0} onClick={onPropose}>
        Start a rule from {wanted.length === 1 ? 'it' : `these ${wanted.length}`}
      </Button>
    </div>
  );
}
