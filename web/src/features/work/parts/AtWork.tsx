import { useState } from 'react';
import { Link } from 'react-router';
import { problemText } from '../../../api/problem';
import { count } from '../../../lib/numbers';
import { Button } from '../../../ui/Button';
import { Sheet } from '../../../ui/Sheet';
import { Trouble } from '../../../ui/States';
import { CatchUpActs, rulesInWords, useCatchUps, useChangeCatchUp, type CatchUp } from '../../catchup';
import { useMailbox } from '../../mailbox';
import { useEndRehearsal, useOpenRehearsals, type OpenRehearsal } from '../../rehearsal';
import { useChangeFirstReading } from '../queries';
import { Row } from './Row';

/** What takes long, in one place: how far it is, and what can be done about it. There only while there is any. */
export function AtWork() {
  const [open, setOpen] = useState(false);
  const reading = useMailbox().data?.firstReading;
  const catchUps = (useCatchUps().data ?? []).filter(isLong);
  const rehearsals = (useOpenRehearsals().data ?? []).filter((one) => one.state === 'RUNNING');
  const reads = reading !== undefined && !reading.finished && reading.total > 0;
  const paused = catchUps.filter((one) => one.state === 'PAUSED').length + (reads && reading.paused ? 1 : 0);
  const all = catchUps.length + rehearsals.length + (reads ? 1 : 0);
  const close = () => setOpen(false);
  return (
    <>
      {all > 0 && (
        <Button small onClick={() => setOpen(true)}>
          <span className="max-[639px]:sr-only">{all > paused ? 'at work: ' : 'paused work: '}</span>
          {count(all > paused ? all - paused : paused)}
        </Button>
      )}
      <Sheet title="Long work" open={open} onClose={close}>
        <p className="mb-2 text-ink2">It goes on when you leave this page, and after a restart.</p>
        {all === 0 && <p>All of it is done.</p>}
        <ul>
          {reads && <FirstReading {...reading} />}
          {catchUps.map((one) => (
            <OneCatchUp key={one.id} of={one} onLeave={close} />
          ))}
          {rehearsals.map((one) => (
            <OneRehearsal key={one.id} of={one} onLeave={close} />
          ))}
        </ul>
      </Sheet>
    </>
  );
}

/** What waits for its next time, or for a person, is no work just now. */
function isLong({ state }: CatchUp): boolean {
  return state === 'READING' || state === 'RUNNING' || state === 'PAUSED';
}

function FirstReading({ done, total, paused }: { done: number; total: number; paused: boolean }) {
  const change = useChangeFirstReading();
  return (
    <>
      <Row
        title="Past mail is read as evidence"
        words={paused ? 'paused' : undefined}
        done={done}
        of={total}
        going={!paused}
        acts={
          <Button
            small
            disabled={change.isPending}
            onClick={() => change.mutate(paused ? 'resume' : 'pause')}
          >
            {paused ? 'Go on' : 'Pause'}
          </Button>
        }
      />
      {change.isError && <Failed of={change.error} />}
    </>
  );
}

function OneCatchUp({ of, onLeave }: { of: CatchUp; onLeave: () => void }) {
  const change = useChangeCatchUp(of.id);
  const reads = of.state === 'READING';
  return (
    <>
      <Row
        title={
          <>
            Catch-up:{' '}
            <Link className="hover:underline" to={`/records/catch-ups?open=${of.id}`} onClick={onLeave}>
              {rulesInWords(of)}
            </Link>
          </>
        }
        words={
          of.note?.words ?? (reads ? 'reading its folders' : of.state === 'PAUSED' ? 'paused' : undefined)
        }
        done={reads ? of.readDone : of.messages}
        of={reads ? of.readOf : of.messagesOf}
        going={of.state !== 'PAUSED'}
        acts={<CatchUpActs of={of} busy={change.isPending} onChange={(how) => change.mutate(how)} />}
      />
      {change.isError && <Failed of={change.error} />}
    </>
  );
}

function OneRehearsal({ of, onLeave }: { of: OpenRehearsal; onLeave: () => void }) {
  const end = useEndRehearsal();
  return (
    <>
      <Row
        title={
          <>
            Rehearsal:{' '}
            <Link className="hover:underline" to={`/trials/rehearsal?open=${of.id}`} onClick={onLeave}>
              {of.words}
            </Link>
          </>
        }
        words={of.of === 0 ? 'reading past mail' : undefined}
        done={of.done}
        of={of.of}
        going
        acts={
          <Button small look="quiet" disabled={end.isPending} onClick={() => end.mutate(of.id)}>
            Cancel
          </Button>
        }
      />
      {end.isError && <Failed of={end.error} />}
    </>
  );
}

function Failed({ of }: { of: unknown }) {
  return <Trouble text={problemText(of)} />;
}
