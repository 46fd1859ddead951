import { useState } from 'react';
import { Link } from 'react-router';
import { problemText } from '../../../api/problem';
import { counted } from '../../../lib/numbers';
import { Button } from '../../../ui/Button';
import { Question } from '../../../ui/Question';
import { Trouble } from '../../../ui/States';
import { useEraseTrialsOf, useTrialsOf } from '../queries';

/** The trials whose messages name a person, by address, and the way to erase them. */
export function TrialsOfPerson({ addresses }: { addresses: string[] }) {
  return addresses.map((address) => <OfAddress key={address} address={address} />);
}

function OfAddress({ address }: { address: string }) {
  const [asked, setAsked] = useState(false);
  const trials = useTrialsOf(address);
  const erase = useEraseTrialsOf();
  const kept = trials.data ?? [];
  if (kept.length === 0) {
    return null;
  }
  return (
    <section aria-label={`Trials with ${address}`} className="mt-4 border-t border-line pt-3 text-sm">
      <div className="flex items-baseline gap-2">
        <span className="grow">
          {counted(kept.length, 'trial keeps', 'trials keep')} a message with {address}:
        </span>
        <Button small look="danger" onClick={() => setAsked(true)}>
          Erase …
        </Button>
      </div>
      <ul>
        {kept.map((trial) => (
          <li key={trial.id}>
            <Link className="text-moss hover:underline" to={`/trials?trial=${trial.id}`}>
              {trial.name}
            </Link>
          </li>
        ))}
      </ul>
      {erase.isError && <Trouble text={problemText(erase.error)} />}
      <Question
        open={asked}
        title={`Erase ${counted(kept.length, 'trial')} with ${address}?`}
        yes="Erase"
        onNo={() => setAsked(false)}
        onYes={() => {
          setAsked(false);
          erase.mutate(address);
        }}
      >
        Their messages are erased with them. To keep what a trial shows, open it and blank its personal parts.
      </Question>
    </section>
  );
}
