import { useId, type ReactNode } from 'react';
import { happeningOf } from '../../../rules';
import { counted } from '../../../../lib/numbers';
import { Glyph } from '../../../../ui/glyphs';
import { Choice } from '../../../../ui/Choice';
import type { Around } from '../../around';
import type { Step } from '../../model';
import { useKnown } from '../../queries';
import { FolderStep } from './FolderStep';
import { HandOnStep } from './HandOnStep';
import { MarkStep } from './MarkStep';
import { ReplyStep } from './ReplyStep';
import { playSound } from '../../../notices';

interface Props {
  step: Step;
  around: Around;
  onChange: (step: Step) => void;
  onRemove: () => void;
}

const NAMES: Record<Step['do'], string> = {
  forward: 'forward to',
  redirect: 'redirect to',
  reply: 'reply',
  file: 'file in',
  mark: 'mark',
  remind: 'remind me',
  copy: 'copy to',
  'out of junk': 'move out of junk',
  archive: 'move to the archive folder',
  trash: 'move to the trash',
  delete: 'delete for good',
  keep: 'keep in the inbox',
  notify: 'notify me',
  'follow up': 'bring it back',
};

export function StepCard({ step, around, onChange, onRemove }: Props) {
  const title = useId();
  return (
    <div
      role="group"
      tabIndex={-1}
      aria-labelledby={title}
      className="mb-2 rounded-md border border-line px-2.5 py-2"
    >
      <div className="flex items-center gap-2">
        <Glyph of={happeningOf(step)} />
        <span id={title} className="grow font-semibold">
          {NAMES[step.do]}
        </span>
        <button
          type="button"
          aria-label={`Remove the action ${NAMES[step.do]}`}
          className="rounded px-1 text-ink2 hover:text-ink"
          onClick={onRemove}
        >
          ×
        </button>
      </div>
      <Details step={step} around={around} onChange={onChange} />
    </div>
  );
}

function Details({ step, around, onChange }: Omit<Props, 'onRemove'>): ReactNode {
  const known = useKnown();
  switch (step.do) {
    case 'forward':
    case 'redirect':
      return <HandOnStep step={step} around={around} onChange={onChange} />;
    case 'reply':
      return <ReplyStep step={step} around={around} onChange={onChange} />;
    case 'file':
    case 'copy':
      return <FolderStep step={step} around={around} onChange={onChange} />;
    case 'mark':
      return <MarkStep step={step} tagsInUse={known.tags} onChange={onChange} />;
    case 'remind':
      return (
        <p className="mt-1.5 text-sm text-ink2">
          The message is flagged, and the Desk reminds you:{' '}
          <Choice
            label="by when"
            value={String(step.days)}
            options={[0, 1, 2, 3, 7, 14].map((days) => ({ value: String(days), text: daysInWords(days) }))}
            onChoose={(days) => onChange({ ...step, days: Number(days) })}
          />
        </p>
      );
    case 'follow up':
      return <FollowUpStep step={step} onChange={onChange} />;
    case 'delete':
      return (
        <p className="mt-1.5 text-sm text-clay">
          It can’t be restored.{' '}
          {around.matches === undefined
            ? ''
            : `Within the evidence period this would have deleted ${around.matches} messages.`}{' '}
          The trash is safer.
        </p>
      );
    case 'out of junk':
      return (
        <p className="mt-1.5 text-sm text-ink2">
          The rule also checks new mail that the mail server puts in the junk folder. What it picks moves to
          the inbox, marked as not junk. Other junk stays where it is and is never answered.
        </p>
      );
    case 'notify':
      return <TellStep step={step} onChange={onChange} />;
    default:
      return null;
  }
}

const WORKING_DAYS = [1, 2, 3, 5, 10];

function FollowUpStep({
  step,
  onChange,
}: {
  step: Extract<Step, { do: 'follow up' }>;
  onChange: (step: Step) => void;
}) {
  const offered = [...new Set([...WORKING_DAYS, step.workingDays])].sort((one, other) => one - other);
  return (
    <p className="mt-1.5 text-sm text-ink2">
      to the inbox, unread and flagged, if nobody deals with it within{' '}
      <Choice
        label="how long"
        value={String(step.workingDays)}
        options={offered.map((days) => ({ value: String(days), text: counted(days, 'working day') }))}
        onChoose={(days) => onChange({ ...step, workingDays: Number(days) })}
      />
      . An answer from this mailbox or from whoever it was handed on to counts; automatic replies do not.
    </p>
  );
}

type TellOf = Extract<Step, { do: 'notify' }>;

const SOUNDS: { value: NonNullable<TellOf['sound']>; text: string }[] = [
  { value: 'none', text: 'no sound' },
  { value: 'drop', text: 'a drop' },
  { value: 'bell', text: 'a bell' },
  { value: 'wood', text: 'a knock on wood' },
];

function TellStep({ step, onChange }: { step: TellOf; onChange: (step: Step) => void }) {
  return (
    <p className="mt-1.5 text-sm text-ink2">
      show a notice in the browser while Jubek is open, with{' '}
      <Choice
        label="sound"
        value={step.sound ?? 'none'}
        options={SOUNDS}
        onChoose={(sound) => {
          playSound(sound);
          onChange({ ...step, sound });
        }}
      />
    </p>
  );
}

function daysInWords(days: number): string {
  return days === 0 ? 'the day it came in' : days === 1 ? 'the day after' : `${days} days after`;
}
