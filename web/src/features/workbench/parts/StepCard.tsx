import { useId, useState } from 'react';
import { Glyph, happeningOf } from '../../../ui/glyphs';
import { TextArea, TextField } from '../../../ui/Field';
import { type Step } from '../model';
import { ValueChips, withValues } from '../../criteria';
import { WhatTheySee } from './WhatTheySee';

interface Props {
  step: Step;
  ownAddress: string;
  ownDomains: string[];
  onChange: (step: Step) => void;
  onRemove: () => void;
}

const NAMES: Record<Step['do'], string> = {
  forward: 'forward to',
  redirect: 'redirect to',
  reply: 'reply',
  file: 'file in',
  mark: 'mark',
  copy: 'copy to',
  trash: 'put into the trash',
  delete: 'delete for good',
  keep: 'keep in the inbox',
  tell: 'tell me',
};

export function StepCard(props: Props) {
  const { step } = props;
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
          onClick={props.onRemove}
        >
          ×
        </button>
      </div>
      {(step.do === 'forward' || step.do === 'redirect') && <HandOn {...props} step={step} />}
      {step.do === 'reply' && <Reply step={step} onChange={props.onChange} />}
      {(step.do === 'file' || step.do === 'copy') && (
        <TextField
          label="Folder"
          hideLabel
          className="mt-1.5"
          placeholder="a folder; it is made when it is missing"
          value={step.folder}
          onChange={(e) => props.onChange({ ...step, folder: e.target.value })}
        />
      )}
      {step.do === 'mark' && <Mark step={step} onChange={props.onChange} />}
    </div>
  );
}

type HandOnStep = Extract<Step, { to: string[] }>;

function HandOn({ step, ownAddress, ownDomains, onChange }: Props & { step: HandOnStep }) {
  const [typing, setTyping] = useState('');
  const outside = step.to.filter((to) => !ownDomains.some((own) => isAt(to, own)));
  const forward = step.do === 'forward';
  return (
    <>
      <ValueChips
        label={`add an address to ${step.do} to`}
        values={step.to}
        typing={typing}
        isWords={false}
        hint="a colleague’s address …"
        onTyping={setTyping}
        onAdd={(more) => {
          setTyping('');
          onChange({ ...step, to: withValues(step.to, more) });
        }}
        onRemove={(gone) => onChange({ ...step, to: step.to.filter((_, i) => !gone.includes(i)) })}
      />
      {outside.length > 0 && (
        <p className="mt-1.5 text-sm text-clay">
          {outside.join(', ')} lies outside your own domains: what goes there is held until it has agreed to
          get mail.
        </p>
      )}
      {forward && (
        <TextArea
          label="Note on top"
          hideLabel
          rows={1}
          className="mt-1.5"
          placeholder="a note on top, if you like"
          value={step.do === 'forward' ? (step.note ?? '') : ''}
          onChange={(e) =>
            onChange({ do: 'forward', to: step.to, ...(e.target.value ? { note: e.target.value } : {}) })
          }
        />
      )}
      <WhatTheySee step={step} ownAddress={ownAddress} />
    </>
  );
}

function Reply({ step, onChange }: { step: Extract<Step, { do: 'reply' }>; onChange: (step: Step) => void }) {
  return (
    <div className="mt-1.5 grid gap-1.5">
      <TextField
        label="Subject; left empty, “Auto: ” and theirs"
        value={step.subject ?? ''}
        onChange={(e) => onChange({ ...step, subject: e.target.value })}
      />
      <TextArea
        label="Text"
        rows={5}
        value={step.text}
        onChange={(e) => onChange({ ...step, text: e.target.value })}
      />
      <p className="text-sm text-ink2">
        Goes to the return path, once per writer in {step.oncePerDays ?? 7} days; never to lists, automatic or
        mass mail, and never twice to one message.
      </p>
    </div>
  );
}

function Mark({ step, onChange }: { step: Extract<Step, { do: 'mark' }>; onChange: (step: Step) => void }) {
  const [tags, setTags] = useState((step.tags ?? []).join(' '));
  const flags = [
    { flag: '\\Seen' as const, text: 'read' },
    { flag: '\\Flagged' as const, text: 'flagged' },
  ];
  return (
    <div className="mt-1.5 flex gap-4">
      {flags.map(({ flag, text }) => (
        <label key={flag} className="flex items-center gap-1.5">
          <input
            type="checkbox"
            className="accent-moss"
            checked={step.flags.includes(flag)}
            onChange={(e) =>
              onChange({
                ...step,
                flags: e.target.checked ? [...step.flags, flag] : step.flags.filter((f) => f !== flag),
              })
            }
          />
          {text}
        </label>
      ))}
      <label className="flex min-w-0 grow items-center gap-1.5">
        tags
        <input
          className="h-7 min-w-0 grow rounded border border-line2 bg-sheet px-1.5"
          placeholder="letters, digits, - and _"
          value={tags}
          onChange={(e) => {
            setTags(e.target.value);
            onChange({ ...step, tags: e.target.value.split(' ').filter(Boolean) });
          }}
        />
      </label>
    </div>
  );
}

function isAt(address: string, domain: string): boolean {
  const own = address.slice(address.lastIndexOf('@') + 1).toLowerCase();
  return own === domain || own.endsWith(`.${domain}`);
}
