import { useSyncExternalStore } from 'react';
import { useMailboxId } from '../mailbox';

/** Messages a person said belong together, and some that do not; kept over searches, places and reload. */
export interface Examples {
  wanted: number[];
  unwanted: number[];
}

const EMPTY: Examples = { wanted: [], unwanted: [] };
const listeners = new Set<() => void>();
const known = new Map<string, Examples>();

function key(mailbox: string): string {
  return `jubek.examples.${mailbox}`;
}

function read(mailbox: string): Examples {
  const held = known.get(mailbox);
  if (held) {
    return held;
  }
  let examples = EMPTY;
  try {
    examples = { ...EMPTY, ...(JSON.parse(localStorage.getItem(key(mailbox)) ?? '{}') as Partial<Examples>) };
  } catch {
    // What can't be read is an empty examples.
  }
  known.set(mailbox, examples);
  return examples;
}

function write(mailbox: string, examples: Examples): void {
  known.set(mailbox, examples);
  localStorage.setItem(key(mailbox), JSON.stringify(examples));
  listeners.forEach((listener) => listener());
}

export type Verdict = 'example' | 'counter-example';

/** The examples with one message added, or removed when it is there already. */
export function turned(examples: Examples, id: number, verdict: Verdict): Examples {
  const side = verdict === 'example' ? 'wanted' : 'unwanted';
  const had = examples[side].includes(id);
  const rest = {
    wanted: examples.wanted.filter((one) => one !== id),
    unwanted: examples.unwanted.filter((one) => one !== id),
  };
  return had ? rest : { ...rest, [side]: [...rest[side], id] };
}

export function useExamples() {
  const mailbox = useMailboxId();
  const examples = useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => read(mailbox),
  );
  return {
    examples,
    turn: (id: number, verdict: Verdict) => write(mailbox, turned(read(mailbox), id, verdict)),
    fill: (wanted: number[]) => write(mailbox, { ...EMPTY, wanted }),
    clear: () => write(mailbox, EMPTY),
  };
}
