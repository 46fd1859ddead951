import { useMailbox } from './queries';

/** Stands in until the server has told its time. */
const PAGE_OPENED = new Date();

/** The server's time, to the minute: arrivals, schedules and reminders go by it, not by the clock of this computer. */
export function useNow(): Date {
  const { data } = useMailbox();
  return data?.now ? new Date(data.now) : PAGE_OPENED;
}

/** The day it is at the mailbox's place, as 2026-11-26. */
export function useToday(): string {
  const zone = useMailbox().data?.zone;
  return dayIn(zone, useNow());
}

export function dayIn(zone: string | undefined, at: Date): string {
  return new Intl.DateTimeFormat('sv-SE', { timeZone: zone, dateStyle: 'short' }).format(at);
}
