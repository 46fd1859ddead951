import type { Schemas } from '../../api/client';
import { dayAndTime } from '../../lib/dates';
import { counted } from '../../lib/numbers';

/** What a rule did, as records tell, and what it would have done with the mail of the last 30 days. */
export interface RuleUse {
  acted: Schemas['RuleUse'] | undefined;
  matches: Schemas['RuleFigures'] | undefined;
}

export function usedInWords({ acted, matches }: RuleUse): string {
  const did = acted
    ? `Acted on ${counted(acted.messages, 'message')}, last ${dayAndTime(acted.last)}.`
    : 'Has not acted yet.';
  const leftOut =
    matches && matches.leftOut > 0
      ? ` Its exceptions left out ${counted(matches.leftOut, 'message')} in 30 days.`
      : '';
  const superseded =
    acted && acted.superseded > 0
      ? ` Another rule’s reply went first for ${counted(acted.superseded, 'message')}.`
      : '';
  return did + leftOut + superseded;
}
