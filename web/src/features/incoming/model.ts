import type { Schemas } from '../../api/client';
import type { Happening } from '../../ui/glyphs';

type Step = Schemas['StepView'];

const WAITING = ['HELD', 'UNCERTAIN', 'FAILED'];

export interface Happened {
  kinds: Happening[];
  words: string;
}

/** What happened to a message, in a few words; steps that were kept back are named before those that were done. */
export function happened(standing: Schemas['MessageLine']['standing'], steps: Step[]): Happened {
  if (standing === 'SET_ASIDE') {
    return { kinds: ['HELD'], words: 'set aside' };
  }
  const waiting = steps.filter((step) => WAITING.includes(step.state));
  const going = steps.filter((step) => !WAITING.includes(step.state) && step.state !== 'WITHHELD');
  const kinds = [...new Set(going.map((step) => step.kind as Happening))];
  const words = [
    ...waiting.map((step) => stateInWords(step.state)),
    ...going.map((step) => shortWords(step)),
  ];
  return {
    kinds: waiting.length > 0 ? ['HELD', ...kinds] : kinds,
    words: [...new Set(words)].join(', ') || (standing === 'PAST' ? 'past mail' : 'stays in the inbox'),
  };
}

function shortWords(step: Step): string {
  return step.words.replace(/ to .*$/, '').replace(/^brought back.*/, 'brought back');
}

const STATES: Record<Step['state'], string> = {
  PLANNED: 'planned',
  HELD: 'held',
  READY: 'about to be done',
  SENDING: 'being done',
  SENT: 'done',
  UNCERTAIN: 'uncertain',
  FAILED: 'failed',
  WITHHELD: 'withheld',
  DROPPED: 'dropped',
  UNDONE: 'undone',
};

export function stateInWords(state: Step['state']): string {
  return STATES[state];
}

/** What a step did, or was to do: "filed in Seeds", "to be filed in Seeds", "not answered". */
export function doneInWords(step: Step): string {
  switch (step.state) {
    case 'WITHHELD':
    case 'DROPPED':
    case 'FAILED':
      return `not ${step.words}`;
    case 'HELD':
    case 'PLANNED':
    case 'READY':
      return `to be ${step.words}`;
    default:
      return step.words;
  }
}
