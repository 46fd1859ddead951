import type { Act } from './queries';

/** What a person may do with a step, as a button says it. */
export const ACTS: Record<Act, string> = {
  SEND_NOW: 'Send now',
  STOP: 'Stop it',
  TRY_AGAIN: 'Try again',
  FORWARD_INSTEAD: 'Forward instead',
  ANSWER_ANYWAY: 'Answer anyway',
  BRING_BACK: 'Bring back',
  LEAVE: 'Leave it',
  DEALT_WITH: 'It is dealt with',
  DISCARD: 'Discard',
};
