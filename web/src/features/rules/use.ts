import type { Schemas } from '../../api/client';
import { dayAndTime } from '../../lib/dates';
import { counted } from '../../lib/numbers';

/** What a rule did, as records tell, and what it would have done with the mail of the last 30 days. */
export interface RuleUse {
  acted: Schemas['RuleUse'] | undefined;
  reach: Schemas['RuleReach'] | undefined;
}

export function usedInWords({ acted, reach }: RuleUse): string {
  const did = acted
    ? `Acted on ${counted(acted.messages, 'message')}, last ${dayAndTime(acted.last)}.`
    : 'Never acted yet.';
  const spared =
    reach && reach.spared > 0 ? ` Its exceptions spared ${counted(reach.spared, 'message')} in 30 days.` : '';
  const overtaken =
    acted && acted.overtaken > 0
      ? ` An earlier rule answered ${counted(acted.overtaken, 'message')} in its place.`
      : '';
  return did + spared + overtaken;
}
