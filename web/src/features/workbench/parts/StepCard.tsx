import { useId, useState } from 'react';
import { Glyph, happeningOf } from '../../../ui/glyphs';
import { TextArea, TextField } from '../../../ui/Field';
import { type Step } from '../model';
import { ValueChips, withValues } from '../../criteria';
import { useKnown } from '../queries';
import { ReplyStep } from './ReplyStep';
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
  const folders = useId();
  const known = useKnown();
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
      {step.do === 'reply' && <ReplyStep step={step} onChange={props.onChange} />}
      {(step.do === 'file' || step.do === 'copy') && (
        <>
          <TextField
            label="Folder"
            hideLabel
            className="mt-1.5"
            placeholder="a folder; it is made when it is missing"
            list={folders}
            value={step.folder}
            onChange={(e) => props.onChange({ ...step, folder: e.target.value })}
          />
          <datalist id={folders}>
            {known.folders.map((folder) => (
              <option key={folder} value={folder} />
            ))}
          </datalist>
          {step.folder.trim() !== '' && !known.folders.includes(step.folder.trim()) && (
            <p className="mt-1 text-sm text-ink2">
              A new folder: it is made when the first message goes there.
            </p>
          )}
        </>
      )}
      {step.do === 'mark' && <Mark step={step} tagsInUse={known.tags} onChange={props.onChange} />}
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

interface MarkProps {
  step: Extract<Step, { do: 'mark' }>;
  tagsInUse: string[];
  onChange: (step: Step) => void;
}

function Mark({ step, tagsInUse, onChange }: MarkProps) {
  const list = useId();
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
          list={list}
          value={tags}
          onChange={(e) => {
            setTags(e.target.value);
            onChange({ ...step, tags: e.target.value.split(' ').filter(Boolean) });
          }}
        />
        <datalist id={list}>
          {tagsInUse.map((tag) => (
            <option key={tag} value={tag} />
          ))}
        </datalist>
      </label>
    </div>
  );
}

function isAt(address: string, domain: string): boolean {
  const own = address.slice(address.lastIndexOf('@') + 1).toLowerCase();
  return own === domain || own.endsWith(`.${domain}`);
}
