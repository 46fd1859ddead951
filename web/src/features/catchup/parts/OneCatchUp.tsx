import { useEffect, useRef, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { problemText } from '../../../api/problem';
import { dayAndTime } from '../../../lib/dates';
import { Button } from '../../../ui/Button';
import { Question } from '../../../ui/Question';
import { Trouble } from '../../../ui/States';
import { UndoSheet, type UndoChoice } from '../../undo';
import { rulesInWords, scopeInWords, standingInWords, stepsInWords } from '../model';
import { useChangeCatchUp, type CatchUp } from '../queries';
import { LookOver } from './LookOver';

/** One catch-up: what it is about, how it stands, and what a person can do with it. */
export function OneCatchUp({ of, first }: { of: CatchUp; first: boolean }) {
  const [search] = useSearchParams();
  const [undoing, setUndoing] = useState<UndoChoice[]>([]);
  const opened = search.get('open') === of.id;
  const [looking, setLooking] = useState(first);
  const here = useRef<HTMLLIElement>(null);
  useEffect(() => {
    if (opened) {
      here.current?.scrollIntoView({ block: 'nearest' });
    }
  }, [opened]);
  const change = useChangeCatchUp(of.id);
  const steps = stepsInWords(of);
  const reads = of.state === 'READING' && of.readOf > 0;
  const goes = of.state === 'RUNNING' && of.messagesOf > 0;
  return (
    <li
      ref={here}
      aria-label={`Catch-up with ${rulesInWords(of)}`}
      className="rounded-md border border-line bg-sheet"
    >
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1 px-3 py-2">
        <div className="min-w-0 grow">
          <p>
            <b>
              {of.rules.map((rule, i) => (
                <span key={rule.id}>
                  {i > 0 && ', '}
                  <Link className="hover:underline" to={`/rules/${rule.id}`}>
                    {rule.name}
                  </Link>
                </span>
              ))}
            </b>{' '}
            <span className="text-ink2">{scopeInWords(of)}</span>
          </p>
          <p className="text-sm text-ink2" role="status">
            {standingInWords(of)}
            {steps && ` · ${steps}`}
          </p>
          {of.note && <p className="text-sm text-clay">{of.note.words}</p>}
        </div>
        {(reads || goes) && (
          <progress
            className="accent-moss"
            aria-label="How far it is"
            max={reads ? of.readOf : of.messagesOf}
            value={reads ? of.readDone : of.messages}
          />
        )}
        <span className="text-sm text-ink2">
          {of.begunBy}, {dayAndTime(of.begunAt)}
        </span>
        {of.state === 'READY' && !looking && !opened && (
          <Button small look="go" onClick={() => setLooking(true)}>
            Look it over
          </Button>
        )}
        <Acts
          of={of}
          busy={change.isPending}
          onChange={(how) => {
            setLooking(true);
            change.mutate(how);
          }}
        />
        {of.done > 0 && of.state !== 'RUNNING' && (
          <Button
            small
            onClick={() =>
              setUndoing([
                {
                  words: `everything that was done to catch up with ${rulesInWords(of)}`,
                  request: { catchUp: of.id },
                },
              ])
            }
          >
            Undo …
          </Button>
        )}
      </div>
      {change.isError && (
        <div className="px-3 pb-2">
          <Trouble text={problemText(change.error)} />
        </div>
      )}
      {of.state === 'READY' && (looking || opened) && <LookOver of={of} />}
      <UndoSheet choices={undoing} onClose={() => setUndoing([])} />
    </li>
  );
}

interface ActsProps {
  of: CatchUp;
  busy: boolean;
  onChange: (how: 'pause' | 'resume' | 'stop') => void;
}

/** What a person can do with a catch-up just now. */
export function Acts({ of, busy, onChange }: ActsProps) {
  const [asked, setAsked] = useState(false);
  const under = of.state === 'RUNNING' || of.state === 'WAITING';
  if (of.state === 'DONE' || of.state === 'STOPPED') {
    return null;
  }
  const begun = under || of.state === 'PAUSED';
  return (
    <>
      {under && (
        <Button small disabled={busy} onClick={() => onChange('pause')}>
          Pause
        </Button>
      )}
      {of.state === 'PAUSED' && (
        <Button small look="go" disabled={busy} onClick={() => onChange('resume')}>
          Go on
        </Button>
      )}
      <Button
        small
        look={begun ? 'danger' : 'plain'}
        disabled={busy}
        onClick={() => (begun ? setAsked(true) : onChange('stop'))}
      >
        {begun ? 'Stop' : 'Discard'}
      </Button>
      <Question
        open={asked}
        title="Stop this catch-up?"
        yes="Stop it"
        onNo={() => setAsked(false)}
        onYes={() => {
          setAsked(false);
          onChange('stop');
        }}
      >
        It does not go on with the messages that are left. What it has done stays done, and can be undone.
      </Question>
    </>
  );
}
