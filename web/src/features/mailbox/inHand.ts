import { createContext, useContext, useSyncExternalStore } from 'react';

/** The mailbox in hand. */
export const MailboxInHand = createContext('');

export function useMailboxId(): string {
  return useContext(MailboxInHand);
}

const KEY = 'jubek.evidence-days';
export const WINDOWS = [30, 90, 180] as const;
const listeners = new Set<() => void>();

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
  return useSyncExternalStore((listener) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  }, stored);
}
