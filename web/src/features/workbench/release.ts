import { withMember } from '../../lib/members';
import { isAt } from '../destinations';
import type { Step } from './model';

export type Leaving = Extract<Step, { do: 'forward' | 'redirect' | 'reply' }>;

const LONGEST = 1200;

type When = string | { minutes: number } | { hours: string };

/** The step with another release; what goes out at once says nothing of it. */
export function releasedWith(step: Leaving, when: When): Leaving {
  const minutes = typeof when === 'object' && 'minutes' in when ? when.minutes : undefined;
  const hours = typeof when === 'object' && 'hours' in when ? when.hours : undefined;
  const said = typeof when === 'string' && when !== 'at once' ? when : undefined;
  const release = (hours === undefined ? said : 'at opening') as Leaving['release'];
  const plain = step.do === 'reply' ? withMember(step, 'instruction', undefined) : step;
  return withMember(withMember(withMember(plain, 'release', release), 'of', hours), 'afterMinutes', minutes);
}

const FIRST_INSTRUCTION = 'Answer what the message asks, with what the reply above says.';

/** The reply composed from the message: it waits for approval and quotes nothing. */
export function composedReply(step: Extract<Step, { do: 'reply' }>): Step {
  const plain = withMember(releasedWith(step, 'at once') as typeof step, 'quotes', undefined);
  return withMember(plain, 'instruction', FIRST_INSTRUCTION);
}

/** Whole minutes within what a rule may say. */
export function minutesIn(typed: string): number {
  return Math.min(Math.max(Math.round(Number(typed)) || 1, 1), LONGEST);
}

/** With its first address outside a step that went out at once is approved first: nobody has seen yet what gets there. */
export function presetWith<T extends Leaving & { to: string[] }>(step: T, to: string[], own: string[]): T {
  const isOutside = (address: string) => !own.some((domain) => isAt(address, domain));
  const first = !step.to.some(isOutside) && to.some(isOutside);
  const atOnce = step.release === undefined && step.afterMinutes === undefined;
  const changed = { ...step, to };
  return first && atOnce ? (releasedWith(changed, 'first on approval') as T) : changed;
}
