import { useState } from 'react';
import { problemText } from '../../../api/problem';
import { dayAndTime } from '../../../lib/dates';
import { Button } from '../../../ui/Button';
import { TextField } from '../../../ui/Field';
import { Sheet } from '../../../ui/Sheet';
import { Loading, Trouble } from '../../../ui/States';
import { deviceInWords } from '../model';
import { useAccount, useChangePassword, useEndSignIns } from '../queries';

const SHORTEST = 12;

/** The own account: where one is signed in, and the password. */
export function Account({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Sheet title="Your account" open={open} onClose={onClose}>
      <SignIns />
      <Password />
    </Sheet>
  );
}

function SignIns() {
  const account = useAccount();
  const { end, endOthers } = useEndSignIns();
  if (account.isPending) {
    return <Loading what="Loading your sign-ins" />;
  }
  if (account.isError) {
    return <Trouble text={problemText(account.error)} onRetry={() => void account.refetch()} />;
  }
  const signIns = account.data.signIns;
  const failed = end.error ?? endOthers.error;
  return (
    <section aria-label="Where you are signed in">
      <h2 className="font-bold">Where you are signed in</h2>
      {failed && <Trouble text={problemText(failed)} />}
      <ul className="mt-1.5">
        {signIns.map((one) => (
          <li key={one.key} className="flex items-start gap-3 border-t border-line py-2">
            <span className="min-w-0 grow">
              <span className="block truncate font-semibold" title={one.browser}>
                {deviceInWords(one.browser)} · {one.place}
              </span>
              <span className="block text-sm text-ink2">
                since {dayAndTime(one.since)}, last used {dayAndTime(one.lastUsed)}
              </span>
            </span>
            {one.current ? (
              <span className="shrink-0 text-sm text-moss">this browser</span>
            ) : (
              <Button small look="quiet" disabled={end.isPending} onClick={() => end.mutate(one.key)}>
                Sign out there
              </Button>
            )}
          </li>
        ))}
      </ul>
      {signIns.length > 2 && (
        <Button small disabled={endOthers.isPending} onClick={() => endOthers.mutate()}>
          Sign out everywhere else
        </Button>
      )}
    </section>
  );
}

function Password() {
  const [current, setCurrent] = useState('');
  const [next, setNext] = useState('');
  const change = useChangePassword();
  return (
    <section aria-label="Password" className="mt-6">
      <h2 className="font-bold">Password</h2>
      <form
        className="mt-1.5 grid max-w-[340px] gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          change.mutate(
            { current, next },
            {
              onSuccess: () => {
                setCurrent('');
                setNext('');
              },
            },
          );
        }}
      >
        <TextField
          label="Current password"
          type="password"
          autoComplete="current-password"
          value={current}
          onChange={(e) => setCurrent(e.target.value)}
        />
        <TextField
          label={`New password, at least ${SHORTEST} characters`}
          type="password"
          autoComplete="new-password"
          value={next}
          onChange={(e) => setNext(e.target.value)}
        />
        {change.isError && <Trouble text={problemText(change.error)} />}
        {change.isSuccess && (
          <p role="status" className="text-moss">
            Your password is changed. Everywhere else you have to sign in again.
          </p>
        )}
        <Button
          look="go"
          className="justify-self-start"
          type="submit"
          disabled={change.isPending || current === '' || next.length < SHORTEST}
        >
          Change password
        </Button>
      </form>
    </section>
  );
}
