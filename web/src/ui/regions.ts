import { useEffect } from 'react';

/** F6 goes round the regions of the screen, Shift+F6 the other way. */
export function useRegions(): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== 'F6') {
        return;
      }
      event.preventDefault();
      const regions = [...document.querySelectorAll<HTMLElement>('[data-region]')];
      const region = document.activeElement?.closest<HTMLElement>('[data-region]');
      const here = region ? regions.indexOf(region) : -1;
      const next = regions[(here + (event.shiftKey ? -1 : 1) + regions.length) % regions.length];
      const inside = next?.querySelector<HTMLElement>(
        'a[href], button:not(:disabled), input, textarea, [tabindex="0"]',
      );
      (inside ?? next)?.focus();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}
