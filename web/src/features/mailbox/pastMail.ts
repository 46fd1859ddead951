import type { Schemas } from '../../api/client';
import { count, counted } from '../../lib/numbers';

/** How much mail the window holds; while it is loaded, how far that is; said when more does not fit in memory. */
export function pastMailInWords(past: Schemas['PastMailView']): string {
  if (!past.ready) {
    return `loading ${count(past.done)} of ${count(past.messages)}`;
  }
  return past.cut ? `the latest ${counted(past.window, 'message')}` : counted(past.window, 'message');
}
