import { useId, type ReactNode } from 'react';
import { Glyph, happeningOf } from '../../../ui/glyphs';
import { Choice } from '../../../ui/Choice';
import type { Around } from '../around';
import type { Step } from '../model';
import { useKnown } from '../queries';
import { FolderStep } from './FolderStep';
import { HandOnStep } from './HandOnStep';
import { MarkStep } from './MarkStep';
import { ReplyStep } from './ReplyStep';
import { playSound } from '../../notices';

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
  'look by': 'look at it by',
  copy: 'copy to',
  'out of junk': 'take out of junk',
  archive: 'archive it',
  trash: 'put into the trash',
  delete: 'delete for good',
  keep: 'keep in the inbox',
  tell: 'tell me',
};

export function StepCard({ step, around, onChange, onRemove }: Props) {
  const title = useId();
  return (
    <div role="group" aria-labelledby={title} className="mb-2 rounded-md border border-line px-2.5 py-2">
      <div className="flex items-center gap-2">
        <Glyph of={happeningOf(step.do)} />
        <span id={title} className="grow font-semibold">
          {NAMES[step.do]}
        </span>
        <button
          type="button"
          aria-label={`Remove the step ${NAMES[step.do]}`}
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
    case 'look by':
      return (
        <p className="mt-1.5 text-sm text-ink2">
          flagged, and on the Desk until then:{' '}
          <Choice
            label="by when"
            value={String(step.days)}
            options={[0, 1, 2, 3, 7, 14].map((days) => ({ value: String(days), text: daysInWords(days) }))}
            onChoose={(days) => onChange({ ...step, days: Number(days) })}
          />
        </p>
      );
    case 'delete':
      return (
        <p className="mt-1.5 text-sm text-clay">
          Nobody can bring it back.{' '}
          {around.reach === undefined
            ? ''
            : `Within the evidence window this would have cost ${around.reach} messages.`}{' '}
          The trash is the safer place.
        </p>
      );
    case 'out of junk':
      return (
        <p className="mt-1.5 text-sm text-ink2">
          New mail that the mail server takes for junk is looked at, too, and what this rule picks goes to the
          inbox, marked as not junk. Other junk stays where it is, and none of it is answered.
        </p>
      );
    case 'tell':
      return <TellStep step={step} onChange={onChange} />;
    default:
      return null;
  }
}

type TellOf = Extract<Step, { do: 'tell' }>;

const SOUNDS: { value: NonNullable<TellOf['sound']>; text: string }[] = [
  { value: 'none', text: 'no sound' },
  { value: 'drop', text: 'a drop' },
  { value: 'bell', text: 'a bell' },
  { value: 'wood', text: 'a knock on wood' },
];

function TellStep({ step, onChange }: { step: TellOf; onChange: (step: Step) => void }) {
  return (
    <p className="mt-1.5 text-sm text-ink2">
      a notice in the browser while Jubek is open, with{' '}
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
