import { useState } from 'react';
import { problemText } from '../../../api/problem';
import { Button } from '../../../ui/Button';
import { TextField } from '../../../ui/Field';
import { Question } from '../../../ui/Question';
import type { Destination } from '../model';
import { useDestinationActs } from '../queries';

/** What a person may do while an address has not agreed: nothing, once it has declined. */
export function DestinationActs({ of }: { of: Destination }) {
  const { ask, vouch, code } = useDestinationActs();
  const [entering, setEntering] = useState(false);
  const [typed, setTyped] = useState('');
  const [vouching, setVouching] = useState(false);
  const failed = ask.error ?? vouch.error ?? code.error;
  if (of.inside || of.state === 'CONFIRMED' || of.state === 'DECLINED') {
    return null;
  }
  const isVouchedFor = of.state === 'VOUCHED_FOR';
  return (
    <span className="mt-1 flex flex-wrap items-end gap-1.5">
      {entering ? (
        <form
          className="flex items-end gap-1.5"
          onSubmit={(event) => {
            event.preventDefault();
            code.mutate({ id: of.id, code: typed });
          }}
        >
          <TextField
            label={`Code of ${of.address}`}
            className="w-36"
            autoFocus
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
          />
          <Button small type="submit" disabled={typed.trim() === '' || code.isPending}>
            Enter
          </Button>
        </form>
      ) : (
        of.askedAt &&
        !isVouchedFor && (
          <Button small onClick={() => setEntering(true)}>
            Enter its code …
          </Button>
        )
      )}
      {!isVouchedFor && (
        <Button small look="quiet" disabled={ask.isPending} onClick={() => ask.mutate(of.id)}>
          Ask again
        </Button>
      )}
      <Button small look="quiet" disabled={vouch.isPending} onClick={() => setVouching(true)}>
        {isVouchedFor ? 'Vouch for it again …' : 'Vouch for it …'}
      </Button>
      {ask.isSuccess && (
        <span role="status" className="text-sm text-ink2">
          A request leaves in a moment, but at most three a day.
        </span>
      )}
      {failed && (
        <span role="alert" className="block text-sm text-clay">
          {problemText(failed)}
        </span>
      )}
      <Question
        open={vouching}
        title={`Vouch for ${of.address}?`}
        yes="I vouch for it"
        onNo={() => setVouching(false)}
        onYes={() => {
          vouch.mutate(of.id);
          setVouching(false);
        }}
      >
        For addresses that can’t answer themselves, such as a chat channel. Your name is kept with it. What
        waits for this address leaves.
      </Question>
    </span>
  );
}
