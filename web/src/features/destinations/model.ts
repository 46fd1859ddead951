import type { Schemas } from '../../api/client';
import { dayAndTime } from '../../lib/dates';

export type Destination = Schemas['DestinationView'];

const MOST_FAILURES = 'three';
const GIVEN: Destination['state'][] = ['CONFIRMED', 'VOUCHED_FOR'];
const REFUSED: Destination['state'][] = ['DECLINED', 'OBJECTED'];

/** Whether mail may reach it; a colleague needs no agreement, and may object. */
export function isGiven({ state, inside }: Destination): boolean {
  return inside ? !REFUSED.includes(state) : GIVEN.includes(state);
}

/** What an address has said, as a clause without its subject; with what may end it soon. */
export function saidInWords(destination: Destination): string {
  const { failures } = destination;
  return isGiven(destination) && failures > 0
    ? `${said(destination)}; the last ${failures === 1 ? 'message' : `${failures} messages`} did not get there, and ${MOST_FAILURES} in a row end that`
    : said(destination);
}

function said(destination: Destination): string {
  const since = dayAndTime(destination.since);
  switch (destination.state) {
    case 'CONFIRMED':
      return `agreed on ${since}`;
    case 'VOUCHED_FOR':
      return `vouched for by ${destination.changes[0]?.who ?? ''} on ${since}`;
    case 'DECLINED':
      return `declined on ${since}`;
    case 'LAPSED':
      return `agreed, but that ended on ${since}`;
    case 'TOLD':
      return destination.askedAt
        ? `told on ${dayAndTime(destination.askedAt)}, and has not objected`
        : 'is told within the hour';
    case 'OBJECTED':
      return `objected on ${since}`;
    case 'ASKED':
      return destination.askedAt
        ? `asked on ${dayAndTime(destination.askedAt)}, has not answered`
        : 'is about to be asked';
  }
}

/** One thing that happened, as a line of its history. */
export function happenedInWords(change: Destination['changes'][number], address: string): string {
  const byItself = change.who === address;
  switch (change.event) {
    case 'ASKED':
      return `${change.who} asked`;
    case 'AGREED':
      return byItself ? 'agreed' : `agreed by the code that ${change.who} entered`;
    case 'DECLINED':
      return 'declined';
    case 'VOUCHED_FOR':
      return `${change.who} vouched for it`;
    case 'LAPSED':
      return 'the agreement ended after 12 months';
    case 'TOLD':
      return `gets mail by a rule of ${change.who}, and is told so`;
    case 'UNREACHED':
      return 'the agreement ended: three messages in a row did not get there';
  }
}

/** Addresses that a rule that is on waits for. */
export function waitedFor(rule: { id: string; on: boolean }, destinations: Destination[]): Destination[] {
  return rule.on
    ? destinations.filter((one) => !isGiven(one) && one.rules.some((used) => used.id === rule.id))
    : [];
}

/** What saving a rule does about an address outside. */
export function beforeSaving(address: string, destinations: Destination[]): string {
  const known = destinations.find((one) => one.address.toLowerCase() === address.toLowerCase());
  if (!known) {
    return `${address} is an outside address. When you save, it is asked whether it wants this mail; mail to it waits until it agrees.`;
  }
  return isGiven(known)
    ? `${address} is an outside address and ${saidInWords(known)}.`
    : `${address} is an outside address: ${saidInWords(known)}. Mail to it waits.`;
}

const SOON_DAYS = 30;

/** Agreements that end within a month, for what rules that are on still send. */
export function endingSoon(destinations: Destination[], now: Date): Destination[] {
  const soon = now.getTime() + SOON_DAYS * 24 * 3_600_000;
  return destinations.filter(
    (one) => one.endsAt !== undefined && new Date(one.endsAt).getTime() <= soon && isUsed(one),
  );
}

/** Addresses that rules which are on wait for. */
export function waitedForNow(destinations: Destination[]): Destination[] {
  return destinations.filter((one) => !isGiven(one) && isUsed(one));
}

function isUsed(destination: Destination): boolean {
  return destination.rules.some((rule) => rule.on);
}

/** Whether an address is at a domain or below it. */
export function isAt(address: string, domain: string): boolean {
  const own = address.slice(address.lastIndexOf('@') + 1).toLowerCase();
  return own === domain || own.endsWith(`.${domain}`);
}

/** Whether a step waits for what this address says. */
export function isHeldFor(step: Schemas['StepView'], { address }: Destination): boolean {
  return step.because?.code === 'OUTSIDE' && step.recipient.toLowerCase() === address.toLowerCase();
}
