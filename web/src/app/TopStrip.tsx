import { useState } from 'react';
import { Link } from 'react-router';
import { count } from '../lib/numbers';
import { Menu } from '../ui/Menu';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import {
  setEvidenceDays,
  useDone,
  useEvidenceDays,
  pastMailInWords,
  useMailbox,
  usePastMail,
  watchingInWords,
  WINDOWS,
} from '../features/mailbox';
import { Account, useSession, useSignOut } from '../features/session';
import { AskToStop, StopStrip, useStop } from '../features/stop';
import { useDemoClock } from '../features/outside';
import { useWaiting } from '../features/records';
import { useRuleBook } from '../features/rules';
import { AtWork } from '../features/work';
import { Guide } from './Guide';
import { JumpBox } from './JumpBox';
import { MailboxChip } from './MailboxChip';
import { PlacesButton } from './Places';

interface Props {
  name: string;
  demo: boolean;
  /** The rule that is open in the workbench. */
  rule?: string | undefined;
}

export function TopStrip({ name, demo, rule }: Props) {
  const mailbox = useMailbox();
  const days = useEvidenceDays();
  const past = usePastMail();
  const signOut = useSignOut();
  const [account, setAccount] = useState(false);
  const [stopping, setStopping] = useState(false);
  const isStopped = useStop().data?.since !== undefined;
  const mailboxes = useSession().data?.mailboxes ?? [];
  const stop = isStopped ? undefined : () => setStopping(true);
  const watching = mailbox.data && watchingInWords(mailbox.data);
  return (
    <header data-region aria-label="Current mailbox" className="shrink-0">
      <div className="h-1 bg-mailbox" />
      <div className="flex h-11 items-center gap-3.5 border-b border-line bg-sheet px-4">
        <span className="font-wordmark text-[21px] leading-none font-semibold tracking-tight text-moss">
          Jubek
        </span>
        {mailbox.data && <MailboxChip address={mailbox.data.address} />}
        <span className={`hidden ${rule === undefined ? 'min-[760px]:block' : 'min-[1000px]:block'}`}>
          <Choice
            label="evidence period"
            value={String(days)}
            options={WINDOWS.map((w) => ({
              value: String(w),
              text: `last ${w} days${w === days && past.data ? ` · ${pastMailInWords(past.data)}` : ''}`,
            }))}
            onChoose={(chosen) => setEvidenceDays(Number(chosen))}
            className="h-[26px] border border-line2 !bg-sheet text-sm !font-normal whitespace-nowrap text-ink2"
          />
        </span>
        {rule === undefined ? <span className="grow" /> : <InRule demo={demo} rule={rule} />}
        <JumpBox demo={demo} onStop={stop} />
        {demo && <ClockNote />}
        <WaitingNote />
        <AtWork />
        {watching && (
          <span
            role="status"
            className={`hidden max-w-[420px] min-w-[52px] shrink-0 truncate text-sm ${watching.trouble ? 'font-semibold text-clay' : 'text-ink2'} ${watching.trouble ? 'min-[700px]:block' : rule === undefined ? 'min-[1180px]:block' : 'min-[1400px]:block'}`}
            title={watching.text}
          >
            {watching.text}
          </span>
        )}
        <Guide />
        <Menu
          trigger={
            <button
              type="button"
              className="h-[26px] rounded border border-line2 px-2 text-sm whitespace-nowrap"
            >
              {name}
            </button>
          }
          items={[
            { text: 'Your account', onSelect: () => setAccount(true) },
            ...(stop ? [{ text: 'Stop all outgoing mail …', onSelect: stop }] : []),
            { text: 'Sign out', onSelect: () => signOut.mutate() },
          ]}
        />
        <Account open={account} onClose={() => setAccount(false)} />
        <AskToStop open={stopping} others={mailboxes.length - 1} onClose={() => setStopping(false)} />
      </div>
      <StopStrip />
      {watching?.trouble && (
        <p role="alert" className="border-b border-line bg-clay-soft px-4 py-1.5 text-clay">
          {watching.text}
        </p>
      )}
      <DoneStrip />
    </header>
  );
}

/** Where one is while a rule is open, and the way to the other places. */
function InRule({ demo, rule }: { demo: boolean; rule: string }) {
  const book = useRuleBook();
  const name = book.data?.document.rules.find((one) => one.id === rule)?.name ?? 'a new rule';
  return (
    <span className="flex min-w-0 grow items-center gap-2 max-[1179px]:shrink-0">
      <span className="shrink-0 max-[599px]:hidden">
        <PlacesButton demo={demo} />
      </span>
      <span className="hidden min-w-0 truncate min-[1180px]:block" title={name}>
        <Link to="/rules" className="text-moss underline">
          Rules
        </Link>{' '}
        › {name}
      </span>
    </span>
  );
}

/** Leads to what waits for a person, when anything does. */
function WaitingNote() {
  const waiting = useWaiting();
  return waiting.data ? (
    <Link
      className="rounded border border-clay px-2 text-sm font-semibold whitespace-nowrap text-clay hover:underline"
      to="/desk"
    >
      {count(waiting.data)}{' '}
      <span className="max-[639px]:sr-only">{waiting.data === 1 ? 'step needs you' : 'steps need you'}</span>
    </Link>
  ) : null;
}

/** Says that the clock is the demo's, when it has been moved. */
function ClockNote() {
  const clock = useDemoClock();
  return clock.data && clock.data.offsetSeconds !== 0 ? (
    <span className="hidden text-sm whitespace-nowrap text-clay min-[900px]:block">
      the demo’s clock is moved
    </span>
  ) : null;
}

function DoneStrip() {
  const { line, tell } = useDone();
  return (
    <div role="status">
      {line && (
        <div className="flex items-center gap-3 border-b border-line bg-moss-soft px-4 py-1">
          <span className="grow">{line.text}</span>
          {line.next && (
            <Link
              className="text-sm font-semibold text-moss hover:underline"
              to={line.next.to}
              onClick={() => tell(undefined)}
            >
              {line.next.text}
            </Link>
          )}
          {line.takeBack && (
            <Button small look="quiet" onClick={line.takeBack}>
              Undo
            </Button>
          )}
          <Button small look="quiet" aria-label="Close this message" onClick={() => tell(undefined)}>
            ×
          </Button>
        </div>
      )}
    </div>
  );
}
