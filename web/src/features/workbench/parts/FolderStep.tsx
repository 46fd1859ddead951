import { useId } from 'react';
import { TextField } from '../../../ui/Field';
import type { Step } from '../model';

type FolderOf = Extract<Step, { folder: string }>;

interface Props {
  step: FolderOf;
  folders: string[];
  senders: string[];
  onChange: (step: Step) => void;
}

const SHOWN = 6;

/** A folder that is there, or one that is made on the spot; or one below it for each sender. */
export function FolderStep({ step, folders, senders, onChange }: Props) {
  const list = useId();
  const folder = step.folder.trim();
  const perSender = step.do === 'file' && step.perSender === true;
  return (
    <>
      <TextField
        label="Folder"
        hideLabel
        className="mt-1.5"
        placeholder="a folder; it is made when it is missing"
        list={list}
        value={step.folder}
        onChange={(e) => onChange({ ...step, folder: e.target.value })}
      />
      <datalist id={list}>
        {folders.map((one) => (
          <option key={one} value={one} />
        ))}
      </datalist>
      {folder !== '' && !folders.includes(folder) && !perSender && (
        <p className="mt-1 text-sm text-ink2">A new folder: it is made when the first message goes there.</p>
      )}
      {step.do === 'file' && (
        <label className="mt-1.5 flex items-center gap-1.5 text-sm">
          <input
            type="checkbox"
            className="accent-moss"
            checked={perSender}
            onChange={(e) =>
              onChange({ do: 'file', folder: step.folder, ...(e.target.checked ? { perSender: true } : {}) })
            }
          />
          a folder of its own below it for each sender
        </label>
      )}
      {perSender && folder !== '' && (
        <ul aria-label="Folders" className="mt-1 text-sm text-ink2">
          {(senders.length > 0 ? senders : ['the writer’s address']).slice(0, SHOWN).map((sender) => (
            <li key={sender}>
              {folder}/{sender}
            </li>
          ))}
          {senders.length > SHOWN && <li>and {senders.length - SHOWN} more</li>}
        </ul>
      )}
    </>
  );
}
