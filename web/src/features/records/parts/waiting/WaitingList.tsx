import type { KeyboardEvent } from 'react';
import { dayAndTime, shortDate } from '../../../../lib/dates';
import { Button } from '../../../../ui/Button';
import { useNow } from '../../../mailbox';
import { fromWhom } from '../../model';
import { untilInWords, type Waiting, type WaitingGroup } from '../../waiting';

interface Props {
  groups: WaitingGroup[];
  chosen: string | undefined;
  onChoose: (item: Waiting) => void;
  onSendAll: (group: WaitingGroup) => void;
  onDiscardAll: (group: WaitingGroup) => void;
}

/** What waits, by what it waits for; the arrow keys go through all of it. */
export function WaitingList({ groups, chosen, onChoose, onSendAll, onDiscardAll }: Props) {
  const all = groups.flatMap((group) => group.items);
  const onKeyDown = (event: KeyboardEvent<HTMLElement>) => {
    const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    const next = all[all.findIndex(({ step }) => step.id === chosen) + by];
    if (by !== 0 && next) {
      event.preventDefault();
      onChoose(next);
      event.currentTarget.querySelector<HTMLElement>(`[data-step="${next.step.id}"]`)?.focus();
    }
  };
  return (
    <div onKeyDown={onKeyDown}>
      {groups.map((group) => (
        <section key={group.key} aria-label={group.title}>
          <div className="flex items-baseline gap-2 px-4 pt-2.5 pb-1 text-sm text-ink2">
            <h2 className="min-w-0 grow font-semibold break-words">{group.title}</h2>
            <span className="figures">{group.items.length}</span>
          </div>
          <Alike group={group} onSendAll={onSendAll} onDiscardAll={onDiscardAll} />
          <ul>
            {group.items.map((item) => (
              <Item
                key={item.step.id}
                item={item}
                current={item.step.id === chosen}
                onChoose={() => onChoose(item)}
              />
            ))}
          </ul>
        </section>
      ))}
    </div>
  );
}

/** Above the list, which a flood makes long. */
function Alike({
  group,
  onSendAll,
  onDiscardAll,
}: Pick<Props, 'onSendAll' | 'onDiscardAll'> & { group: WaitingGroup }) {
  if (group.items.length < 2) {
    return null;
  }
  const canBeSent = group.items.every(({ step }) => step.acts.includes('SEND_NOW'));
  return (
    <div className="flex flex-wrap gap-1 px-2 pb-1.5">
      {canBeSent && (
        <Button small look="quiet" onClick={() => onSendAll(group)}>
          Send all {group.items.length} …
        </Button>
      )}
      <Button small look="quiet" onClick={() => onDiscardAll(group)}>
        Discard all {group.items.length} …
      </Button>
    </div>
  );
}

function Item({ item, current, onChoose }: { item: Waiting; current: boolean; onChoose: () => void }) {
  const { step, message } = item;
  const now = useNow();
  const handedOn = step.kind !== 'REPLY';
  return (
    <li className="border-b border-line">
      <button
        type="button"
        data-step={step.id}
        aria-current={current}
        className={`block w-full px-4 py-1.5 text-left ${current ? 'border-l-[3px] border-moss bg-sheet pl-[13px]' : 'hover:bg-sheet'}`}
        onClick={onChoose}
      >
        <span className="block truncate font-semibold">
          <bdi>{message.subject || '(no subject)'}</bdi>
        </span>
        <span className="block truncate text-sm text-ink2">
          {handedOn ? `to ${step.recipient}` : fromWhom(message)} ·{' '}
          {step.releaseAt === undefined
            ? `since ${shortDate(step.plannedAt, now)}`
            : untilInWords(step.releaseAt, now, dayAndTime)}
          {step.edited && ' · edited'}
        </span>
      </button>
    </li>
  );
}
