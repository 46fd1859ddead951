import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { problemText } from '../../../api/problem';
import type { Schemas } from '../../../api/client';
import { dayAndTime } from '../../../lib/dates';
import { Button } from '../../../ui/Button';
import { MarkedText } from '../../../ui/MarkedText';
import { Question } from '../../../ui/Question';
import { Loading, Trouble } from '../../../ui/States';
import { useDone } from '../../mailbox';
import { marksOf } from '../model';
import { useAcceptTrial, useRemoveTrial, useTrial } from '../queries';
import { EditTrial } from './EditTrial';

interface Props {
  id: string;
  onRemoved: () => void;
  /** Whether it says itself what it is called. */
  titled?: boolean;
}

/** One trial: what must happen, what would, its message, and why it differs. */
export function OneTrial({ id, onRemoved, titled = false }: Props) {
  const trial = useTrial(id);
  if (trial.isPending) {
    return <Loading what="Loading the trial" />;
  }
  if (trial.isError) {
    return <Trouble text={problemText(trial.error)} onRetry={() => void trial.refetch()} />;
  }
  return <Opened view={trial.data} onRemoved={onRemoved} titled={titled} />;
}

function Opened({ view, onRemoved, titled }: Omit<Props, 'id'> & { view: Schemas['TrialDetails'] }) {
  const { line, written, hits } = view;
  return (
    <div className="grid gap-3">
      <div>
        {titled && (
          <h2 className="text-lg font-bold break-words">
            <bdi>{line.name}</bdi>
          </h2>
        )}
        <p className="text-sm text-ink2">
          kept {dayAndTime(line.madeAt)} by {line.madeBy} · comes in {dayAndTime(line.at)}
        </p>
      </div>
      <div className="grid grid-cols-2 gap-2.5">
        <Box title="what must happen">
          {line.expected.map((one) => (
            <li key={one.statement.words}>{one.statement.words}</li>
          ))}
        </Box>
        <Box title="what would happen" differs={!line.holds}>
          {line.happens.map((one, i) => (
            <li key={i} className={one.against ? 'font-semibold text-clay' : ''}>
              {one.what.words}
            </li>
          ))}
          {line.happens.length === 0 && <li className="text-clay">its message can’t be judged</li>}
        </Box>
      </div>
      <dl className="grid grid-cols-[56px_1fr] gap-x-2 text-sm">
        <dt className="text-ink2">from</dt>
        <dd className="break-words">{written.from}</dd>
        <dt className="text-ink2">to</dt>
        <dd className="break-words">{written.to}</dd>
        <dt className="text-ink2">sent</dt>
        <dd>
          {view.sentBy.map((by) => by.words).join(', ')}
          {view.conversation && ' · an answer to us'}
          {view.attachments.length > 0 && ` · with ${view.attachments.join(', ')}`}
        </dd>
      </dl>
      <div
        className="max-h-[260px] overflow-auto rounded border border-line2 px-3 py-2 text-[13.5px] whitespace-pre-line"
        tabIndex={0}
        role="region"
        aria-label="Its text"
      >
        <b className="block">
          <MarkedText text={written.subject} marks={marksOf(written.subject, hits)} />
        </b>
        <MarkedText text={written.text} marks={marksOf(written.text, hits)} />
      </div>
      <Why view={view} />
      <Acts view={view} onRemoved={onRemoved} />
    </div>
  );
}

function Box({
  title,
  differs = false,
  children,
}: {
  title: string;
  differs?: boolean;
  children: ReactNode;
}) {
  return (
    <section
      aria-label={title}
      className={`rounded border px-2.5 py-2 text-sm ${differs ? 'border-clay' : 'border-line'}`}
    >
      <h3 className="mb-1 text-[12.5px] font-semibold text-ink2">{title}</h3>
      <ul className="grid gap-0.5 break-words">{children}</ul>
    </section>
  );
}

function Why({ view }: { view: Schemas['TrialDetails'] }) {
  if (view.line.because.length === 0 && view.changes.length === 0) {
    return null;
  }
  return (
    <div className="grid gap-1 text-sm">
      {view.changes.length > 0 && (
        <p>
          <b>Why:</b> it held before a change
          {view.changedAt && ` on ${dayAndTime(view.changedAt)}`}
          {view.changedBy && ` by ${view.changedBy}`}. {view.changes.map((one) => one.words).join(' ')}
        </p>
      )}
      {view.line.because.map((one) => (
        <p key={one.words} className="text-ink2">
          {one.words}
        </p>
      ))}
    </div>
  );
}

function Acts({ view, onRemoved }: { view: Schemas['TrialDetails']; onRemoved: () => void }) {
  const { line } = view;
  const [editing, setEditing] = useState(false);
  const [asked, setAsked] = useState(false);
  const accept = useAcceptTrial();
  const remove = useRemoveTrial();
  const { tell } = useDone();
  const navigate = useNavigate();
  const failed = accept.error ?? remove.error;
  return (
    <>
      {failed && <Trouble text={problemText(failed)} />}
      <div className="flex flex-wrap gap-2">
        {line.rule !== undefined && (
          <Button look={line.holds ? 'plain' : 'go'} onClick={() => void navigate(`/rules/${line.rule}`)}>
            Open the rule
          </Button>
        )}
        {!line.holds && line.happens.length > 0 && (
          <Button
            disabled={accept.isPending}
            onClick={() =>
              accept.mutate(line.id, {
                onSuccess: () => tell({ text: `“${line.name}” must be so from now on.` }),
              })
            }
          >
            It should be so now
          </Button>
        )}
        <Button look="quiet" onClick={() => setEditing(true)}>
          Edit …
        </Button>
        <Button look="quiet" onClick={() => setAsked(true)}>
          Remove …
        </Button>
      </div>
      {!line.holds && (
        <p className="text-sm text-ink2">
          A rule that is on stays on. Switching on, or changing a rule that is on, waits until its trials
          hold, or until you say that they may differ.
        </p>
      )}
      {editing && <EditTrial view={view} onClose={() => setEditing(false)} />}
      <Question
        open={asked}
        title="Remove this trial?"
        yes="Remove it"
        onNo={() => setAsked(false)}
        onYes={() => {
          setAsked(false);
          remove.mutate(line.id, {
            onSuccess: () => {
              tell({ text: `The trial “${line.name}” is removed.` });
              onRemoved();
            },
          });
        }}
      >
        Its message is erased with it. The message that it was made of stays where it is.
      </Question>
    </>
  );
}
