import { useDeferredValue, useId, useState } from 'react';
import { problemText } from '../../../api/problem';
import type { Schemas } from '../../../api/client';
import { counted } from '../../../lib/numbers';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/Choice';
import { TextField } from '../../../ui/Field';
import { Empty, Loading, Trouble } from '../../../ui/States';
import { useDone, useMailbox } from '../../mailbox';
import { isAddress, reached, type Possible } from '../model';
import { usePossibleTests, useSendTests, useTestSenders } from '../queries';
import { PossibleRow } from './PossibleRow';

/** Chooses who sends, and which trials. */
export function SendTests({ begun }: { begun: string | undefined }) {
  const senders = useTestSenders();
  if (senders.isPending) {
    return <Loading what="Looking for addresses to send from" />;
  }
  if (senders.isError) {
    return <Trouble text={problemText(senders.error)} onRetry={() => void senders.refetch()} />;
  }
  const { addresses, any } = senders.data;
  if (addresses.length === 0 && !any) {
    return (
      <Empty>
        A test needs another address to come from, and there is none yet: another mailbox of yours, or one
        that is set up for tests in the settings of this installation.
      </Empty>
    );
  }
  return <Sending senders={senders.data} begun={begun} />;
}

function Sending({ senders, begun }: { senders: Schemas['TestSendersView']; begun: string | undefined }) {
  const [from, setFrom] = useState(senders.addresses[0] ?? '');
  const asked = useDeferredValue(isAddress(from) ? from : '');
  const own = useMailbox().data?.address;
  return (
    <section aria-label="Send" className="grid gap-3">
      <p className="text-sm text-ink2">
        The message of each trial that you choose goes to {own ?? 'this mailbox'} as real mail, and its rules
        act on it for real, even while they are paused. Jubek follows what leaves as far as mailboxes that it
        reads; tests count nowhere as evidence.
      </p>
      <From senders={senders} from={from} onFrom={setFrom} />
      {asked !== '' && <Trials key={asked} from={asked} begun={begun} />}
    </section>
  );
}

function From({
  senders: { addresses, any },
  from,
  onFrom,
}: {
  senders: Schemas['TestSendersView'];
  from: string;
  onFrom: (from: string) => void;
}) {
  const list = useId();
  const trials = usePossibleTests(any ? (addresses[0] ?? '') : '').data ?? [];
  if (!any) {
    return (
      <p>
        from{' '}
        <Choice
          label="the address to send from"
          value={from}
          options={addresses.map((address) => ({ value: address, text: address }))}
          onChoose={onFrom}
        />
      </p>
    );
  }
  return (
    <>
      <TextField
        label="from"
        type="email"
        list={list}
        className="max-w-sm"
        value={from}
        onChange={(e) => onFrom(e.target.value.trim())}
      />
      <datalist id={list}>
        {[...new Set([...addresses, ...trials.map((test) => test.sender)])].map((address) => (
          <option key={address} value={address} />
        ))}
      </datalist>
    </>
  );
}

function Trials({ from, begun }: { from: string; begun: string | undefined }) {
  const possible = usePossibleTests(from);
  const send = useSendTests();
  const { tell } = useDone();
  const [picked, setPicked] = useState<string[]>();
  if (possible.isPending) {
    return <Loading what="Looking which trials can be sent" />;
  }
  if (possible.isError) {
    return <Trouble text={problemText(possible.error)} />;
  }
  const all = possible.data;
  if (all.length === 0) {
    return <p className="text-ink2">No trial is kept yet: keep one first, and it can be sent.</p>;
  }
  const can = all.filter((test) => test.against === undefined);
  const chosen = can.filter((test) => (picked ?? [begun]).includes(test.trial));
  const to = reached(chosen);
  const toggle = (trial: string, on: boolean) => {
    const others = chosen.map((test) => test.trial).filter((id) => id !== trial);
    setPicked(on ? [...others, trial] : others);
  };
  return (
    <>
      {can.length > 0 && (
        <ul className="grid rounded-md border border-line">
          {can.map((test) => (
            <PossibleRow
              key={test.trial}
              test={test}
              chosen={chosen.includes(test)}
              onChoose={(on) => toggle(test.trial, on)}
            />
          ))}
        </ul>
      )}
      {send.isError && <Trouble text={problemText(send.error)} />}
      <div className="flex flex-wrap items-center gap-3">
        <Button
          look="go"
          disabled={chosen.length === 0 || send.isPending}
          onClick={() =>
            send.mutate(
              { from, trials: chosen.map((test) => test.trial) },
              {
                onSuccess: ({ sent }) => {
                  setPicked([]);
                  tell({ text: `${counted(sent, 'test')} sent from ${from}.` });
                },
              },
            )
          }
        >
          {send.isPending
            ? 'Sending …'
            : chosen.length > 0
              ? `Send ${counted(chosen.length, 'test')}`
              : 'Send'}
        </Button>
        <span className="text-sm text-ink2">
          {chosen.length === 0
            ? `${can.length} of ${counted(all.length, 'trial')} can be sent from this address.`
            : to.length === 0
              ? 'Nothing leaves this mailbox by it.'
              : `Real messages reach ${to.join(', ')}.`}
        </span>
      </div>
      <NotPossible tests={all.filter((test) => test.against !== undefined)} />
    </>
  );
}

function NotPossible({ tests }: { tests: Possible[] }) {
  const [open, setOpen] = useState(false);
  if (tests.length === 0) {
    return null;
  }
  return (
    <div>
      <Button small look="quiet" aria-expanded={open} onClick={() => setOpen(!open)}>
        {counted(tests.length, 'trial')} can’t be sent from this address: {open ? 'hide' : 'show'} why
      </Button>
      {open && (
        <ul className="mt-1 grid gap-1 text-[13.5px]">
          {tests.map((test) => (
            <li key={test.trial}>
              <bdi>{test.name}</bdi>
              <span className="text-ink2">: {test.against?.words}</span>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
