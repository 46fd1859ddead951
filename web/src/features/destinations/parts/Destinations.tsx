import { useState } from 'react';
import { problemText } from '../../../api/problem';
import { dayAndTime } from '../../../lib/dates';
import { counted } from '../../../lib/numbers';
import { Button } from '../../../ui/Button';
import { Trouble } from '../../../ui/States';
import { happenedInWords, isGiven, saidInWords, type Destination } from '../model';
import { useDestinations } from '../queries';
import { DestinationActs } from './DestinationActs';
import { RuleLinks } from './RuleLinks';

/** Addresses that rules send mail to, what each has said, and what may be done about it. */
export function Destinations() {
  const destinations = useDestinations();
  const inside = destinations.data?.filter((one) => one.inside) ?? [];
  const outside = destinations.data?.filter((one) => !one.inside) ?? [];
  return (
    <section aria-label="Outside addresses">
      <h2 className="font-bold">Outside addresses</h2>
      {destinations.isError && <Trouble text={problemText(destinations.error)} />}
      {destinations.data && outside.length === 0 && (
        <p className="mt-1 text-sm text-ink2">
          No rule names an outside address. When one does, the address is asked first whether it wants the
          mail, and gets nothing until it agrees.
        </p>
      )}
      <ul className="mt-1">
        {outside.map((one) => (
          <OneDestination key={one.id} of={one} />
        ))}
      </ul>
      {inside.length > 0 && (
        <>
          <h2 className="mt-5 font-bold">Colleagues who get mail</h2>
          <p className="mt-1 text-sm text-ink2">
            Each is told once by mail which rules send to it, and may object on a page.
          </p>
          <ul className="mt-1">
            {inside.map((one) => (
              <OneDestination key={one.id} of={one} />
            ))}
          </ul>
        </>
      )}
    </section>
  );
}

function OneDestination({ of }: { of: Destination }) {
  const [open, setOpen] = useState(false);
  return (
    <li className="border-t border-line py-1.5">
      <span className="block font-semibold break-words">{of.address}</span>
      <span className={`block text-sm ${isGiven(of) ? 'text-moss' : 'text-clay'}`}>{saidInWords(of)}</span>
      {of.endsAt && (
        <span className="block text-sm text-ink2">
          Ends on {dayAndTime(of.endsAt)}
          {of.state === 'CONFIRMED' && '; it is asked again two weeks before'}
        </span>
      )}
      {of.fault && (
        <span className="block text-sm text-clay">The request did not leave: {of.fault.words}</span>
      )}
      {of.waiting > 0 && (
        <span className="block text-sm text-ink2">{counted(of.waiting, 'step')} held for it</span>
      )}
      <span className="block text-sm text-ink2">
        {of.rules.length === 0 ? 'No rule names it now' : 'Used by '}
        <RuleLinks rules={of.rules} />
      </span>
      <DestinationActs of={of} />
      <Button small look="quiet" aria-expanded={open} onClick={() => setOpen(!open)}>
        {open ? 'Hide its history' : 'History'}
      </Button>
      {open && (
        <ol aria-label={`History of ${of.address}`} className="mt-1 text-sm text-ink2">
          {of.changes.map((change, i) => (
            <li key={i}>
              {dayAndTime(change.at)}: {happenedInWords(change, of.address)}
            </li>
          ))}
        </ol>
      )}
    </li>
  );
}
