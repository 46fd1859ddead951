import { createContext, useContext, useSyncExternalStore } from 'react';

/** The current mailbox. */
export const CurrentMailbox = createContext('');

export function useMailboxId(): string {
  return useContext(CurrentMailbox);
}

const KEY = 'jubek.evidence-days';
const CHOSEN = 'jubek.mailbox';
export const WINDOWS = [30, 90, 180] as const;
const listeners = new Set<() => void>();

function useStored<T>(read: () => T): T {
  return useSyncExternalStore((listener) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  }, read);
}

/** Takes another current mailbox, in this browser. */
export function switchMailbox(mailbox: string): void {
  localStorage.setItem(CHOSEN, mailbox);
  listeners.forEach((listener) => listener());
}

/** The mailbox chosen last; the first one where there is none, or it may not be seen any more. */
export function useChosen<M extends { id: string }>(mailboxes: M[]): M | undefined {
  const chosen = useStored(() => localStorage.getItem(CHOSEN));
  return mailboxes.find((mailbox) => mailbox.id === chosen) ?? mailboxes[0];
}

function stored(): number {
  const days = Number(localStorage.getItem(KEY));
  return WINDOWS.some((w) => w === days) ? days : 90;
}

export function setEvidenceDays(days: number): void {
  localStorage.setItem(KEY, String(days));
  listeners.forEach((listener) => listener());
}

/** How many days of past mail screens measure on. */
export function useEvidenceDays(): number {
  return useStored(stored);
}
