import { useId } from 'react';
import { Choice } from '../../../../ui/Choice';
import { TextField } from '../../../../ui/Field';
import { INBOX } from '../../../../lib/folders';
import { withMember } from '../../../../lib/members';
import { useMailboxId } from '../../../mailbox';
import { useSession } from '../../../session';
import type { Step } from '../../model';
import { useFoldersOf, useKnown } from '../../queries';
import type { Around } from '../../around';

type FolderOf = Extract<Step, { folder: string }>;
type Each = 'one' | 'sender' | 'value';

interface Props {
  step: FolderOf;
  around: Around;
  onChange: (step: Step) => void;
}

const SHOWN = 6;

const EACH: { value: Each; text: string }[] = [
  { value: 'one', text: 'all in this folder' },
  { value: 'sender', text: 'a subfolder for each sender' },
  { value: 'value', text: 'a subfolder for each phrase or address listed' },
];

/** A folder that is there, or one that is made on the spot; or one below it for each value; here or in another mailbox. */
export function FolderStep({ step, around, onChange }: Props) {
  const list = useId();
  const known = useKnown();
  const there = useFoldersOf(step.mailbox);
  const folders = step.mailbox === undefined ? known.folders : there;
  const folder = step.folder.trim();
  const each: Each = step.perSender ? 'sender' : step.perValue ? 'value' : 'one';
  return (
    <>
      <TextField
        label="Folder"
        hideLabel
        className="mt-1.5"
        placeholder="a folder; a missing one is created"
        list={list}
        value={step.folder}
        onChange={(e) => onChange({ ...step, folder: e.target.value })}
      />
      <datalist id={list}>
        {folders.map((one) => (
          <option key={one} value={one} />
        ))}
      </datalist>
      <OtherMailbox step={step} onChange={onChange} />
      {folder !== '' && folder.toUpperCase() !== INBOX && !folders.includes(folder) && each === 'one' && (
        <p className="mt-1 text-sm text-ink2">A new folder. It is created with the first message.</p>
      )}
      {folder.toUpperCase() === INBOX && step.mailbox === undefined && (
        <p className="mt-1 text-sm text-clay">
          Mail comes to the inbox by itself. To make sure that it stays, choose “keep it in the inbox”.
        </p>
      )}
      <p className="mt-1.5 text-sm text-ink2">
        <Choice
          label="folders"
          value={each}
          options={EACH}
          onChoose={(chosen) => onChange(sorted(step, chosen))}
        />
      </p>
      {each !== 'one' && folder !== '' && (
        <Below folder={folder} values={each === 'sender' ? around.senders : around.listed} each={each} />
      )}
    </>
  );
}

/** JSON has no members that say nothing. */
function sorted(step: FolderOf, each: Each): FolderOf {
  const plain = withMember(withMember(step, 'perSender', undefined), 'perValue', undefined);
  return each === 'one' ? plain : { ...plain, [each === 'sender' ? 'perSender' : 'perValue']: true };
}

function OtherMailbox({ step, onChange }: Omit<Props, 'around'>) {
  const here = useMailboxId();
  const others = (useSession().data?.mailboxes ?? []).filter((one) => one.id !== here);
  if (others.length === 0 && step.mailbox === undefined) {
    return null;
  }
  const take = (mailbox: string) => {
    if (mailbox === '') {
      onChange({
        ...withMember(step, 'mailbox', undefined),
        folder: step.folder === INBOX ? '' : step.folder,
      });
    } else {
      onChange({ ...step, mailbox, folder: step.folder || INBOX });
    }
  };
  return (
    <p className="mt-1.5 text-sm text-ink2">
      <Choice
        label="mailbox"
        value={step.mailbox ?? ''}
        options={[
          { value: '', text: 'in this mailbox' },
          ...others.map((one) => ({ value: one.address, text: `in ${one.address}` })),
        ]}
        onChoose={take}
      />
      {step.mailbox !== undefined &&
        ` ${step.do === 'file' ? 'It leaves this mailbox and keeps its marks and date.' : ''}`}
    </p>
  );
}

/** The folders there will be. */
function Below({ folder, values, each }: { folder: string; values: string[]; each: Each }) {
  const shown = values.length > 0 ? values : each === 'sender' ? ['the sender’s address'] : [];
  if (shown.length === 0) {
    return (
      <p className="mt-1 text-sm text-clay">
        The rule lists no phrase or recipient yet, so all mail goes to {folder}.
      </p>
    );
  }
  return (
    <ul aria-label="Folders" className="mt-1 text-sm text-ink2">
      {shown.slice(0, SHOWN).map((value) => (
        <li key={value}>
          {folder}/{value}
        </li>
      ))}
      {shown.length > SHOWN && <li>and {shown.length - SHOWN} more</li>}
    </ul>
  );
}
