import type { Schemas } from '../../api/client';
import { counted } from '../../lib/numbers';

type Limits = Schemas['LimitsView'];
type Reason = Limits['limits'][number]['reason'];

const OF: Partial<Record<Reason, string>> = {
  HOURLY_LIMIT: 'from this mailbox',
  RULE_LIMIT: 'by one rule',
  DESTINATION_LIMIT: 'to one address',
  SENDER_LIMIT: 'about mail of one sender',
};

/** "Within an hour at most 200 messages leave from this mailbox, 100 by one rule, …; more are held for you." */
export function limitsInWords({ limits }: Limits): string {
  const each = limits.map(({ reason, messages }, i) =>
    i === 0
      ? `${counted(messages, 'message')} leave ${OF[reason] ?? ''}`
      : `${messages.toLocaleString('en-GB')} ${OF[reason] ?? ''}`,
  );
  return `Within an hour at most ${each.join(', ')}; more are held for you.`;
}

/** What the limits would have held of past mail. */
export function heldInWords({ days, leaving, limits }: Limits): string {
  const held = limits.filter((limit) => limit.held > 0);
  const whole = `the ${counted(leaving, 'message')} that today’s rules would have sent in the last ${days} days`;
  if (held.length === 0) {
    return `Of ${whole}, that would have held none.`;
  }
  const each = held.map((limit) => `${limit.held.toLocaleString('en-GB')} ${OF[limit.reason] ?? ''}`);
  return `Of ${whole}, that would have held ${each.join(', ')}.`;
}
