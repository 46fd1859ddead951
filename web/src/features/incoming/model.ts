import type { Schemas } from '../../api/client';
import { shortDone } from '../../lib/steps';
import type { Happening } from '../../ui/glyphs';

type Step = Schemas['StepView'];

const WAITING = ['HELD', 'UNCERTAIN', 'FAILED'];

export interface Happened {
  kinds: Happening[];
  words: string;
}

/**
 * What happened to a message, in a few words; steps that were kept back are named before those that were done. Of past
 * mail, what today's rules would do.
 */
export function happened(
  status: Schemas['MessageLine']['status'],
  steps: Step[],
  today: Schemas['Today'][] = [],
): Happened {
  if (status === 'SET_ASIDE') {
    return { kinds: ['HELD'], words: 'set aside' };
  }
  if (status === 'PAST' && steps.length === 0) {
    return {
      kinds: [...new Set(today.flatMap((rule) => rule.kinds))],
      words: today.length === 0 ? 'no rule today' : `today: ${today.map((rule) => rule.name).join(', ')}`,
    };
  }
  const waiting = steps.filter((step) => WAITING.includes(step.state));
  const going = steps.filter(
    (step) =>
      !WAITING.includes(step.state) &&
      step.state !== 'WITHHELD' &&
      (step.kind !== 'FOLLOW_UP' || step.state === 'SENT'),
  );
  const kinds = [...new Set(going.map((step) => step.kind as Happening))];
  const words = [
    ...waiting.map((step) => stateInWords(step.state)),
    ...steps.filter((step) => step.state === 'WITHHELD' && step.kind === 'REPLY').map(() => 'not replied to'),
    ...going.map((step) => shortDone(step.kind, step.done.words)),
  ];
  return {
    kinds: waiting.length > 0 ? ['HELD', ...kinds] : kinds,
    words: [...new Set(words)].join(', ') || 'stays in the inbox',
  };
}

const STATES: Record<Step['state'], string> = {
  PLANNED: 'planned',
  HELD: 'held',
  READY: 'next in line',
  SENDING: 'being done',
  SENT: 'done',
  UNCERTAIN: 'uncertain',
  FAILED: 'failed',
  WITHHELD: 'withheld',
  DISCARDED: 'discarded',
  UNDONE: 'undone',
};

export function stateInWords(state: Step['state']): string {
  return STATES[state];
}

/** What a step did, or was to do: "filed in Seeds", "to be filed in Seeds", "not replied to". */
export function doneInWords(step: Step): string {
  switch (step.state) {
    case 'WITHHELD':
    case 'DISCARDED':
    case 'FAILED':
      return `not ${step.done.words}`;
    case 'HELD':
    case 'PLANNED':
    case 'READY':
      return `to be ${step.done.words}`;
    default:
      return step.done.words;
  }
}

/** What would be done, and what not and why, in sentences. */
export function wouldBe(done: Schemas['Statement'][], notDone: Schemas['NotDoneLine'][]): string {
  return [
    ...done.map((one) => `It would be ${one.words}.`),
    ...notDone.map(
      (one) => `It would not be ${one.step.words} – ${one.held ? 'held' : 'withheld'}: ${one.reason.words}.`,
    ),
  ].join(' ');
}
