import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../../api/client';
import { dayAndTime } from '../../../lib/dates';
import { counted } from '../../../lib/numbers';
import { Button } from '../../../ui/Button';
import { Glyph, type Happening } from '../../../ui/glyphs';
import { doneInWords } from '../../incoming';
import { KeepAs } from '../../trials';
import { ACTS } from '../acts';
import {
  fromWhom,
  inOneLine,
  isTest,
  isUnseen,
  letGoInWords,
  needsPerson,
  standingInWords,
  type Group,
} from '../model';
import type { Act } from '../queries';

type Step = Schemas['StepView'];

interface Props {
  group: Group;
  busy: boolean;
  onAct: (step: string, act: Act) => void;
  onSent: (step: Step) => void;
  onUndo: (step: Step) => void;
}

/** What a rule did with a message: one row, which opens to its steps. */
export function GroupRows({ group, busy, onAct, onSent, onUndo }: Props) {
  const { steps } = group;
  const [open, setOpen] = useState(steps.some(needsPerson) || isUnseen(steps));
  const only = steps.length === 1 ? steps[0] : undefined;
  const acts = (step: Step) => (
    <Acts
      step={step}
      busy={busy}
      onAct={(act) => onAct(step.id, act)}
      onSent={() => onSent(step)}
      onUndo={() => onUndo(step)}
    />
  );
  return (
    <>
      <tr className="border-t border-line py-1 align-top max-columns:grid max-columns:grid-cols-[minmax(0,1fr)_auto] max-columns:px-4">
        <td className="py-1.5 text-sm text-ink2 max-columns:order-2 columns:pl-4">{dayAndTime(group.at)}</td>
        <td className="truncate py-1.5 pr-3 max-columns:order-1">
          <Link className="font-semibold hover:underline" to={`/incoming/${group.message.id}`}>
            {group.message.subject || '(no subject)'}
          </Link>
          <span className="block truncate text-sm text-ink2">{fromWhom(group.message)}</span>
        </td>
        <td className="truncate pr-3 max-columns:order-3 max-columns:col-span-2 columns:py-1.5">
          <Link className="font-semibold text-moss hover:underline" to={`/rules/${group.rule}`}>
            {group.name}
          </Link>
          <span className="block text-sm text-ink2">
            version {group.version}{' '}
            {!isTest(group.message) && (
              <KeepAs
                name={group.message.subject || '(no subject)'}
                of={{ ruleId: group.rule, order: 0, message: group.message.id }}
              />
            )}
          </span>
        </td>
        <td className="pr-3 max-columns:order-4 max-columns:col-span-2 columns:py-1.5">
          {only ? <OneStep step={only} /> : <InOneLine steps={steps} />}
        </td>
        <td className="max-columns:order-5 max-columns:col-span-2 max-columns:-ml-2 columns:py-1.5 columns:pr-4 columns:text-right">
          {only ? (
            acts(only)
          ) : (
            <Button small look="quiet" aria-expanded={open} onClick={() => setOpen(!open)}>
              {open ? 'Hide the steps' : counted(steps.length, 'step')}
            </Button>
          )}
        </td>
      </tr>
      {!only &&
        open &&
        steps.map((step) => (
          <tr key={step.id} className="align-top max-columns:block max-columns:px-4">
            <td colSpan={3} className="max-columns:hidden" />
            <td className="py-1 pr-3 max-columns:block">
              <OneStep step={step} />
            </td>
            <td className="max-columns:-ml-2 max-columns:block max-columns:pb-1 columns:py-1 columns:pr-4 columns:text-right">
              {acts(step)}
            </td>
          </tr>
        ))}
    </>
  );
}

function WithPictures({ kinds, children }: { kinds: Happening[]; children: ReactNode }) {
  return (
    <span className="flex items-start gap-1.5">
      {kinds.map((kind) => (
        <span key={kind} className="mt-0.5">
          <Glyph of={kind} />
        </span>
      ))}
      <span className="min-w-0 break-words">{children}</span>
    </span>
  );
}

function pictureOf(step: Step): Happening {
  return step.state === 'HELD' ? 'HELD' : step.kind;
}

function InOneLine({ steps }: { steps: Step[] }) {
  return (
    <WithPictures kinds={[...new Set(steps.map(pictureOf))]}>
      {inOneLine(steps).map((line, i) => (
        <span key={line.state}>
          {i > 0 && '; '}
          {line.words} — <b className={line.needsPerson ? 'text-clay' : ''}>{line.state}</b>
        </span>
      ))}
      {isUnseen(steps) && <b className="block text-clay">Not answered, and out of the inbox.</b>}
      {inOneLine(steps).flatMap((line) =>
        line.because.map((why) => (
          <span key={why} className="block text-sm text-ink2">
            {why}
          </span>
        )),
      )}
    </WithPictures>
  );
}

function OneStep({ step }: { step: Step }) {
  return (
    <WithPictures kinds={[pictureOf(step)]}>
      {doneInWords(step)} — <b className={needsPerson(step) ? 'text-clay' : ''}>{standingInWords(step)}</b>
      {step.releasedBy && <span className="block text-sm text-ink2">{letGoInWords(step)}</span>}
      {step.because && <span className="block text-sm text-ink2">{step.because.words}</span>}
      {step.advice && <span className="block text-sm text-ink">{step.advice.words}</span>}
    </WithPictures>
  );
}

interface ActsProps {
  step: Step;
  busy: boolean;
  onAct: (act: Act) => void;
  onSent: () => void;
  onUndo: () => void;
}

function Acts({ step, busy, onAct, onSent, onUndo }: ActsProps) {
  return (
    <>
      {step.hasMail && (
        <Button small look="quiet" onClick={onSent}>
          {step.state === 'SENT' ? 'the message as sent' : 'the message as it would go out'}
        </Button>
      )}
      {step.mayBeUndone && (
        <Button small look="quiet" onClick={onUndo}>
          Undo …
        </Button>
      )}
      {step.acts.map((one) => (
        <Button key={one} small look="quiet" disabled={busy} onClick={() => onAct(one)}>
          {ACTS[one]}
        </Button>
      ))}
    </>
  );
}
