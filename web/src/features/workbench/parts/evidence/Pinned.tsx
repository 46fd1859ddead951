import type { Evidence } from '../../queries';
import { ShortDate } from '../../../mailbox';

/** The message that the rule was started from, always in sight, with how it stands to the rule. */
export function Pinned({
  example,
  onOpen,
}: {
  example: NonNullable<Evidence['example']>;
  onOpen: (message: number) => void;
}) {
  const { message, counters } = example;
  const stands = counters.includes('PICKED')
    ? 'picked'
    : counters.includes('LEFT_OUT')
      ? 'left out'
      : counters.includes('STOPPED_EARLIER')
        ? 'an earlier rule stops it'
        : counters.includes('NEAR_MISS')
          ? 'nearly picked'
          : 'not picked';
  return (
    <button
      type="button"
      className="flex h-[30px] shrink-0 items-center gap-2 border-b-2 border-line2 bg-ground px-3 text-left text-[13.5px]"
      onClick={() => onOpen(message.id)}
    >
      <span>
        your example: <b className={stands === 'picked' ? 'text-moss' : 'text-clay'}>{stands}</b>
      </span>
      <span className="figures text-ink2">
        <ShortDate of={message.received} />
      </span>
      <span className="min-w-0 truncate">
        <bdi>{message.sender}</bdi> · <bdi>{message.subject || '(no subject)'}</bdi>
      </span>
    </button>
  );
}
