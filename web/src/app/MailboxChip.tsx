import { useLocation, useNavigate } from 'react-router';
import { switchMailbox, useMailboxId } from '../features/mailbox';
import { useSession } from '../features/session';
import { Choice } from '../ui/Choice';

/** The current mailbox; with several, another one can be chosen. */
export function MailboxChip({ address }: { address: string }) {
  const mailbox = useMailboxId();
  const mailboxes = useSession().data?.mailboxes ?? [];
  const { pathname } = useLocation();
  const navigate = useNavigate();
  const take = (other: string) => {
    // An open rule or message belongs to the mailbox that is left; the place does not.
    void navigate(`/${pathname.split('/')[1] ?? ''}`);
    switchMailbox(other);
  };
  return (
    <span className="flex h-[26px] min-w-0 shrink-[0.2] items-center gap-1.5 rounded border border-mailbox px-2 font-semibold text-mailbox">
      <span className="size-2 shrink-0 rounded-xs bg-mailbox" />
      {mailboxes.length > 1 ? (
        <Choice
          label="current mailbox"
          value={mailbox}
          options={mailboxes.map((one) => ({
            value: one.id,
            text: `${one.address} · ${one.name}`,
            short: one.address,
          }))}
          onChoose={take}
          className="!bg-transparent !px-0 !text-mailbox truncate"
        />
      ) : (
        <span className="truncate">{address}</span>
      )}
    </span>
  );
}
