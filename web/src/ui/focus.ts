import { useEffect, useRef, type RefObject } from 'react';

/** The first of these that an entry has. */
const FIELDS = ['input, textarea, [contenteditable="true"]', 'button[aria-haspopup="menu"]'];

/** What was just added to a list is where one goes on: its first field has the focus then, or the new entry itself. */
export function useFocusOnAdded<T extends HTMLElement>(count: number): RefObject<T | null> {
  const list = useRef<T>(null);
  const before = useRef(count);
  useEffect(() => {
    const added = count > before.current ? list.current?.lastElementChild : undefined;
    before.current = count;
    if (added instanceof HTMLElement && !isBusyElsewhere(list.current)) {
      const field = FIELDS.map((fields) => added.querySelector<HTMLElement>(fields)).find(
        (one) => one !== null,
      );
      (field ?? added).focus({ preventScroll: true });
      added.scrollIntoView?.({ block: 'nearest' });
    }
  }, [count]);
  return list;
}

/** Somebody at work in another region, such as the evidence, stays there. */
function isBusyElsewhere(list: HTMLElement | null): boolean {
  const other = document.activeElement?.closest('[data-region]');
  return other !== null && other !== undefined && !other.contains(list);
}

/** Another place begins with its content, not with the list of places once more. */
export function useFocusOnPlace(place: string): RefObject<HTMLElement | null> {
  const content = useRef<HTMLElement>(null);
  const before = useRef(place);
  useEffect(() => {
    if (place !== before.current && content.current?.contains(document.activeElement) === false) {
      content.current.focus({ preventScroll: true });
    }
    before.current = place;
  }, [place]);
  return content;
}

/** For what closes: the focus goes back to where it was, unless it has been given on meanwhile. */
export function keepGivenFocus(event: Event): void {
  if (document.activeElement !== null && document.activeElement !== document.body) {
    event.preventDefault();
  }
}
