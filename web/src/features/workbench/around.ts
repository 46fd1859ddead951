import type { Schemas } from '../../api/client';
import { isAddress, isTest, isWords, type Item, type Test } from '../criteria';
import type { Draft } from './model';
import type { Evidence } from './queries';

/** What a step needs to know of the rule it is in. */
export interface Around {
  ownAddress: string;
  ownAddresses: string[];
  ownDomains: string[];
  /** Addresses that the rule names as recipients. */
  aliases: string[];
  /** Senders the rule names, one by one. */
  senders: string[];
  /** Phrases and other addresses it names, one by one. */
  listed: string[];
  /** Messages it picks, the newest first. */
  picked: number[];
  /** Whether the rule moves the message out of the inbox by another action. */
  moves: boolean;
  /** A message written on the spot, for when it picks none. */
  sample: Schemas['SampleMessage'];
  /** How many it picks in the evidence period. */
  matches: number | undefined;
}

/** What the steps of a rule need to know of it. */
export function aroundOf(
  draft: Draft,
  mailbox: Schemas['MailboxView'],
  evidence: Evidence | undefined,
  sample: Schemas['SampleMessage'],
): Around {
  return {
    ownAddress: mailbox.address,
    ownAddresses: mailbox.ownAddresses,
    ownDomains: mailbox.ownDomains,
    aliases: addresses(draft.picksOut, ['recipient', 'to']).filter((value) => value.includes('@')),
    senders: addresses(draft.picksOut, ['sender']),
    listed: values(draft.picksOut, (test) => !isAddress(test) || test.part !== 'sender'),
    picked: evidence?.rows.map((row) => row.id) ?? [],
    moves: draft.does.some((step) => MOVING.includes(step.do)),
    sample,
    matches: evidence?.counts.picked,
  };
}

const MOVING: string[] = ['file', 'archive', 'trash', 'delete'];

function addresses(items: Item[], parts: string[]): string[] {
  return values(items, (test) => isAddress(test) && parts.includes(test.part));
}

/** The values of phrases and addresses that have to be there. */
function values(items: Item[], wanted: (test: Test) => boolean): string[] {
  return items.flatMap(({ criterion, group }) => {
    if (group) {
      return values(group.items, wanted);
    }
    if (!isTest(criterion)) {
      return [];
    }
    const test = criterion as Test;
    return (isAddress(test) || isWords(test)) && !test.not && wanted(test) ? test.values : [];
  });
}
