import { useEffect, useRef, useState, useSyncExternalStore } from 'react';
import { useMailboxId } from '../mailbox';
import { sameText, type EditedTemplate, type TemplateText } from './model';

/** A new template has no name on the server yet, and there is one at a time. */
const NEW = 'new';

function key(mailbox: string, template: string): string {
  return `jubek.template.${mailbox}.${template}`;
}

function read(mailbox: string, template: string): EditedTemplate | undefined {
  try {
    return JSON.parse(localStorage.getItem(key(mailbox, template)) ?? 'null') ?? undefined;
  } catch {
    return undefined; // What can't be read is no draft.
  }
}

const listeners = new Set<() => void>();
let changes = 0;

function store(name: string, draft: EditedTemplate | undefined): void {
  if (draft) {
    localStorage.setItem(name, JSON.stringify(draft));
  } else {
    localStorage.removeItem(name);
  }
  changes += 1;
  listeners.forEach((listener) => listener());
}

/** Comes anew with each change of a draft. */
function useChanges(): void {
  useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => changes,
  );
}

/**
 * The new template that was begun and not saved.
 *
 * @param saved the ids of all that are saved: a draft of one of these was left behind when the page closed too early
 */
export function useNewDraft(saved: string[]): EditedTemplate | undefined {
  useChanges();
  const mailbox = useMailboxId();
  const draft = read(mailbox, NEW);
  const isLeftBehind = draft !== undefined && saved.includes(draft.id);
  useEffect(() => {
    if (isLeftBehind) {
      store(key(mailbox, NEW), undefined);
    }
  }, [mailbox, isLeftBehind]);
  return isLeftBehind ? undefined : draft;
}

/** Whether unsaved changes of a template are kept. */
export function useHasDraft(): (template: string) => boolean {
  useChanges();
  const mailbox = useMailboxId();
  return (template) => read(mailbox, template) !== undefined;
}

/**
 * The text of a template while it is edited. It is kept in this browser with each change, so that leaving, a reload or
 * Escape loses nothing; a draft of an older version is not taken up.
 */
export function useKeptText(begin: EditedTemplate, isNew: boolean) {
  const mailbox = useMailboxId();
  const name = isNew ? NEW : begin.id;
  const [kept, setKept] = useState(() => {
    const draft = read(mailbox, name);
    return draft && (isNew || draft.baseVersion === begin.baseVersion) ? draft : undefined;
  });
  const [written, setWritten] = useState(kept?.written ?? begin.written);
  const brought = useRef(kept?.brought ?? []);
  const forget = () => {
    store(key(mailbox, name), undefined);
    setKept(undefined);
  };
  return {
    written,
    /** Whether it goes on from a draft of before. */
    isFromDraft: kept !== undefined,
    write: (next: TemplateText) => {
      setWritten(next);
      if (sameText(next, begin.written)) {
        forget();
      } else {
        store(key(mailbox, name), { ...begin, written: next, brought: brought.current });
      }
    },
    /** A file was put in while it is edited. */
    bring: (document: string) => {
      brought.current = [...brought.current, document];
    },
    /** Files that were put in while it was edited and that what became of it does not need. */
    leftOver: ({ documents, picture }: TemplateText): string[] => {
      const left = brought.current.filter((id) => id !== picture && !documents.includes(id));
      brought.current = [];
      return left;
    },
    forget,
    discard: () => {
      forget();
      setWritten(begin.written);
    },
  };
}
