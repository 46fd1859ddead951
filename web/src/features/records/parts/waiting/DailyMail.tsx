import { useState } from 'react';
import { problemText } from '../../../../api/problem';
import { Button } from '../../../../ui/Button';
import { TextField } from '../../../../ui/Field';
import { useChangeDailyMail, useDailyMail } from '../../queries';

/** Whether what waits is told by mail, once on each working day; on narrow screens the room is for what waits. */
export function DailyMail() {
  const daily = useDailyMail();
  const change = useChangeDailyMail();
  const [typed, setTyped] = useState('');
  if (daily.data === undefined) {
    return null;
  }
  return (
    <div className="hidden flex-wrap items-center gap-2 border-t border-line bg-ground px-4 py-2 text-sm text-ink2 columns:flex">
      {daily.data.address ? (
        <>
          <span className="break-words">
            Each working day on which something waits, {daily.data.address} is told so by mail.
          </span>
          <Button small look="quiet" disabled={change.isPending} onClick={() => change.mutate(undefined)}>
            End that
          </Button>
        </>
      ) : (
        <form
          className="flex flex-wrap items-center gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            change.mutate(typed);
          }}
        >
          <span>Be told by mail what waits, each working day:</span>
          <TextField
            label="Your address"
            hideLabel
            placeholder="your address"
            type="email"
            className="w-64"
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
          />
          <Button small type="submit" disabled={typed.trim() === '' || change.isPending}>
            Tell me
          </Button>
        </form>
      )}
      {change.isError && (
        <span role="alert" className="text-clay">
          {problemText(change.error)}
        </span>
      )}
    </div>
  );
}
