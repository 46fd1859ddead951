import { problemText } from '../../../../api/problem';
import { dayAndTime } from '../../../../lib/dates';
import { Button } from '../../../../ui/Button';
import { useAliasTests, useSendAliasTest } from '../../handing';

/** Whether mail to an alias reaches the mailbox: a real message says. */
export function AliasTest({ alias }: { alias: string }) {
  const tests = useAliasTests();
  const send = useSendAliasTest();
  const last = tests.data?.find((test) => test.address.toLowerCase() === alias.toLowerCase());
  return (
    <p className="text-sm break-words text-ink2" aria-live="polite">
      Does mail to {alias} arrive?{' '}
      <Button small disabled={send.isPending} onClick={() => send.mutate(alias)}>
        Send a test
      </Button>{' '}
      {send.isError && <span className="text-clay">{problemText(send.error)}</span>}
      {!send.isError && last && (
        <span className={last.fault ? 'text-clay' : ''}>
          {last.fault
            ? `It could not be sent: ${last.fault.words}`
            : last.arrivedAt
              ? `It arrived, ${dayAndTime(last.arrivedAt)}.`
              : `Sent, ${dayAndTime(last.sentAt)}; it has not arrived yet.`}
        </span>
      )}
    </p>
  );
}
