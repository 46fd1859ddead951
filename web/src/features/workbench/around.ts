import type { Schemas } from '../../api/client';
import { isAddress, isTest, isWords, type Item, type Test } from '../criteria';
import type { Draft } from './model';
import type { Around } from './parts/StepCard';
import type { Evidence } from './queries';

/** What the steps of a rule need to know of it. */
export function aroundOf(
  draft: Draft,
  mailbox: Schemas['MailboxView'],
  evidence: Evidence | undefined,
): Around {
  return {
    ownAddress: mailbox.address,
    ownAddresses: mailbox.ownAddresses,
    ownDomains: mailbox.ownDomains,
    aliases: addresses(draft.picksOut, ['recipient', 'to']).filter((value) => value.includes('@')),
    senders: addresses(draft.picksOut, ['sender']),
    listed: values(draft.picksOut, (test) => !isAddress(test) || test.part !== 'sender'),
    picked: evidence?.rows.map((row) => row.id) ?? [],
    reach: evidence?.counts.picked,
  };
}

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
