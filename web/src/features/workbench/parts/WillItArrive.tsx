import { createContext, useContext, useState } from 'react';
import type { Schemas } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { Button } from '../../../ui/Button';
import { useArrival } from '../handing';
import type { Asked } from '../model';

/** The rule in hand, for what has to be asked about it from deep within. */
export const RuleInHand = createContext<{ asked: Asked | undefined; order: number }>({
  asked: undefined,
  order: 0,
});

/** Whether redirected mail is likely to reach the recipient, from what our own mail server found out about it. */
export function WillItArrive() {
  const { asked, order } = useContext(RuleInHand);
  const [open, setOpen] = useState(false);
  const arrival = useArrival(asked, order, open);
  if (!open) {
    return (
      <Button small look="quiet" className="-ml-2" disabled={!asked} onClick={() => setOpen(true)}>
        will it arrive? …
      </Button>
    );
  }
  return (
    <div className="mt-1 text-sm text-ink2" aria-live="polite">
      {arrival.isPending && 'Looking through what is picked …'}
      {arrival.isError && <span className="text-clay">{problemText(arrival.error)}</span>}
      {arrival.data && (
        <>
          {inWords(arrival.data)}
          <b className="block font-semibold text-ink">{arrival.data.advice}</b>
        </>
      )}
    </div>
  );
}

function inWords({ signed, breaking, unsigned, untold }: Schemas['ArrivalView']): string {
  const parts = [
    ...(signed > 0 ? [`${signed} carry a signature that stays whole`] : []),
    ...(breaking > 0 ? [`${breaking} carry one that would break`] : []),
    ...(unsigned > 0 ? [`${unsigned} carry none`] : []),
    ...(untold > 0 ? [`of ${untold} nothing is told`] : []),
  ];
  return parts.length === 0 ? 'Nothing is picked.' : `Of what is picked, ${parts.join(', ')}.`;
}
