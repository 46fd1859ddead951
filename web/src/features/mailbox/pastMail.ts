import type { Schemas } from '../../api/client';
import { count, counted } from '../../lib/numbers';

/** How much past mail there is; while it loads, how far that is. */
export function pastMailInWords(past: Schemas['PastMailView']): string {
  if (!past.ready) {
    return `loading ${count(past.done)} of ${count(past.total)}`;
  }
  return past.cut ? `the latest ${counted(past.messages, 'message')}` : counted(past.messages, 'message');
}
