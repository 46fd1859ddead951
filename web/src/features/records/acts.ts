import type { Act } from './queries';

/** What a person may do with a step, in words. */
export const ACTS: Record<Act, string> = {
  LET_GO: 'let go',
  TRY_AGAIN: 'try again',
  FORWARD_INSTEAD: 'forward instead',
  DROP: 'drop',
};
