import { useSyncExternalStore } from 'react';
import { useMailboxId } from '../mailbox';

/** Messages a person said belong together, and some that do not; kept over searches, places and reload. */
export interface Basket {
  wanted: number[];
  unwanted: number[];
}

const EMPTY: Basket = { wanted: [], unwanted: [] };
const listeners = new Set<() => void>();
const known = new Map<string, Basket>();

function key(mailbox: string): string {
  return `jubek.basket.${mailbox}`;
}

function read(mailbox: string): Basket {
  const held = known.get(mailbox);
  if (held) {
    return held;
  }
  let basket = EMPTY;
  try {
    basket = { ...EMPTY, ...(JSON.parse(localStorage.getItem(key(mailbox)) ?? '{}') as Partial<Basket>) };
  } catch {
    // What can't be read is an empty basket.
  }
  known.set(mailbox, basket);
  return basket;
}

function write(mailbox: string, basket: Basket): void {
  known.set(mailbox, basket);
  localStorage.setItem(key(mailbox), JSON.stringify(basket));
  listeners.forEach((listener) => listener());
}

export type Verdict = 'belongs' | 'does not belong';

/** The basket with a message's verdict turned: said again, it is taken back. */
export function turned(basket: Basket, id: number, verdict: Verdict): Basket {
  const side = verdict === 'belongs' ? 'wanted' : 'unwanted';
  const had = basket[side].includes(id);
  const rest = {
    wanted: basket.wanted.filter((one) => one !== id),
    unwanted: basket.unwanted.filter((one) => one !== id),
  };
  return had ? rest : { ...rest, [side]: [...rest[side], id] };
}

export function useBasket() {
  const mailbox = useMailboxId();
  const basket = useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => read(mailbox),
  );
  return {
    basket,
    turn: (id: number, verdict: Verdict) => write(mailbox, turned(read(mailbox), id, verdict)),
    fill: (wanted: number[]) => write(mailbox, { ...EMPTY, wanted }),
    clear: () => write(mailbox, EMPTY),
  };
}
