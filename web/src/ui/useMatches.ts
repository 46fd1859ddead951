import { useSyncExternalStore } from 'react';

/** As the breakpoint of this name in the tokens. */
export const COLUMNS_FIT = '(min-width: 860px)';

/** Whether the page is as a media query says, now and after each change. */
export function useMatches(query: string): boolean {
  return useSyncExternalStore(
    (changed) => {
      const media = window.matchMedia(query);
      media.addEventListener('change', changed);
      return () => media.removeEventListener('change', changed);
    },
    () => window.matchMedia(query).matches,
  );
}
