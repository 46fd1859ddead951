import type { Rule } from './model';

type Step = Rule['does'][number];

/** How many somebody approves before the rest goes out by itself. */
export const FIRST = 'five';

const RELEASES = {
  'at once': '',
  'at opening': 'in opening hours',
  'on approval': 'on approval',
  'once agreed': 'once the substitute has agreed',
  'first on approval': `the first ${FIRST} on approval`,
};

const REPLIES = {
  'at once': '',
  'at opening': 'They wait for opening hours.',
  'on approval': 'Each waits for approval.',
  'once agreed': 'They wait until the substitute agrees.',
  'first on approval': `The first ${FIRST} wait for approval.`,
};

/** What replies of a rule wait for, as a sentence; empty where they go out at once. */
export function repliesWait(steps: Step[]): string {
  const reply = steps.find((step) => step.do === 'reply');
  if (reply?.instruction !== undefined) {
    return 'Each is composed from its message and waits for approval.';
  }
  if (reply?.of !== undefined) {
    return `They wait for the hours “${reply.of}”.`;
  }
  return reply?.afterMinutes === undefined
    ? REPLIES[reply?.release ?? 'at once']
    : `They wait ${releaseInWords(reply).slice('after '.length)}.`;
}

/** When it goes out, of a step that does not go out at once; empty of all others. */
export function releaseInWords(step: Step): string {
  if (step.do === 'reply' && step.instruction !== undefined) {
    return 'on approval, composed from the message';
  }
  if (!('release' in step || 'afterMinutes' in step)) {
    return '';
  }
  if (step.of !== undefined) {
    return `in the hours “${step.of}”`;
  }
  return step.afterMinutes === undefined
    ? RELEASES[step.release ?? 'at once']
    : `after ${step.afterMinutes} ${step.afterMinutes === 1 ? 'minute' : 'minutes'}`;
}
