import { useContext, useState } from 'react';
import type { Schemas } from '../../../../api/client';
import { problemText } from '../../../../api/problem';
import { Button } from '../../../../ui/Button';
import { useArrival } from '../../handing';
import { EditedRule } from './EditedRule';

/** Whether redirected mail is likely to matches the recipient, from what our own mail server found out about it. */
export function WillItArrive() {
  const { asked, order } = useContext(EditedRule);
  const [open, setOpen] = useState(false);
  const arrival = useArrival(asked, order, open);
  if (!open) {
    return (
      <Button small look="quiet" className="-ml-2" disabled={!asked} onClick={() => setOpen(true)}>
        Will it arrive?
      </Button>
    );
  }
  return (
    <div className="mt-1 text-sm text-ink2" aria-live="polite">
      {arrival.isPending && 'Checking the picked messages …'}
      {arrival.isError && <span className="text-clay">{problemText(arrival.error)}</span>}
      {arrival.data && (
        <>
          {inWords(arrival.data)}
          <b className="block font-semibold text-ink">{arrival.data.advice.words}</b>
        </>
      )}
    </div>
  );
}

function inWords({ signed, breaking, unsigned, untold }: Schemas['ArrivalView']): string {
  const parts = [
    ...(signed > 0 ? [`${signed} have a signature that stays valid`] : []),
    ...(breaking > 0 ? [`${breaking} have one that would break`] : []),
    ...(unsigned > 0 ? [`${unsigned} have none`] : []),
    ...(untold > 0 ? [`for ${untold} the mail server says nothing`] : []),
  ];
  return parts.length === 0 ? 'Nothing is picked.' : `Of what is picked, ${parts.join(', ')}.`;
}
