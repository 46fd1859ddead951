import type { QueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { asking } from '../api/asking';
import { keys } from '../api/keys';
import { Live, type Signal } from '../api/live';

type Name = keyof typeof keys;

/** What a signal makes out of date. */
const TOLD_BY: Record<Signal['topic'], Name[]> = {
  MESSAGES: ['messages', 'message', 'kinds', 'desk', 'setAside', 'pastMail', 'folders'],
  STEPS: [
    'records',
    'catchUps',
    'desk',
    'messages',
    'message',
    'uses',
    'answers',
    'destinations',
    'realTests',
  ],
  NOTICES: ['notices'],
  TRIALS: ['trials', 'realTests'],
  MAILBOX: [
    'mailbox',
    'pastMail',
    'aliasTests',
    'stop',
    'destinations',
    'drifts',
    'hours',
    'timetable',
    'absences',
  ],
  WORK: [],
};

/** What costs more is asked for less often, in milliseconds. */
const PAUSE: Partial<Record<Name, number>> = { kinds: 10_000, uses: 5_000 };
const USUAL_PAUSE = 500;

/** Asks at once, and once more after a pause when there was more. */
export class Renewal {
  private readonly resting = new Set<string>();
  private readonly more = new Set<string>();

  constructor(private readonly ask: (name: Name, mailbox: string) => void) {}

  of(signal: Signal): void {
    TOLD_BY[signal.topic].forEach((name) => this.renew(name, signal.mailbox));
  }

  private renew(name: Name, mailbox: string): void {
    const id = `${name} ${mailbox}`;
    if (this.resting.has(id)) {
      this.more.add(id);
      return;
    }
    this.ask(name, mailbox);
    this.resting.add(id);
    setTimeout(() => {
      this.resting.delete(id);
      if (this.more.delete(id)) {
        this.renew(name, mailbox);
      }
    }, PAUSE[name] ?? USUAL_PAUSE);
  }
}

/**
 * Asks anew for what is shown. What is being asked for the first time is not asked for anew by the library, so it is asked
 * for once more when that has come: it may say how things were before the change.
 */
export function askAgain(queries: QueryClient, queryKey: unknown[]): void {
  const first = queries
    .getQueryCache()
    .findAll({ queryKey, type: 'active' })
    .filter((query) => query.state.data === undefined && query.state.fetchStatus === 'fetching');
  void queries.invalidateQueries({ queryKey });
  first.forEach((query) => {
    const again = () => queries.invalidateQueries({ queryKey: query.queryKey, exact: true });
    void query.promise?.then(again, again);
  });
}

/** While somebody is signed in, what is shown follows what happens. */
export function useLive(queries: QueryClient, signedIn: boolean): void {
  useEffect(() => {
    if (!signedIn) {
      return;
    }
    const renewal = new Renewal((name, mailbox) => askAgain(queries, keys[name](mailbox)));
    const live = new Live({
      changed: (signal) => renewal.of(signal),
      behind: () =>
        (Object.values(TOLD_BY).flat() as Name[]).forEach((name) => askAgain(queries, keys[name]())),
      ended: () => queries.invalidateQueries({ queryKey: keys.session() }),
    });
    asking.live = live;
    return () => {
      asking.live = undefined;
      live.stop();
    };
  }, [queries, signedIn]);
}
