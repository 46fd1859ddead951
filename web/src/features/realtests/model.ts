import type { Schemas } from '../../api/client';

export type Possible = Schemas['PossibleTest'];
export type Sent = Schemas['RealTestView'];

/** As much as can be asked about. */
export function isAddress(text: string): boolean {
  const at = text.lastIndexOf('@');
  return at > 0 && text.indexOf('.', at) > at + 1 && !text.endsWith('.') && !/[\s,;]/.test(text);
}

/** Whom something reaches by the tests that are chosen. */
export function reached(tests: Possible[]): string[] {
  return [...new Set(tests.flatMap((test) => test.leavesTo))];
}

/** How a test that was sent stands, in a word. */
export function verdict(test: Sent): { words: string; good: boolean | undefined } {
  if (test.open) {
    const waits = test.lines.some((line) => line.stand === 'WAITS');
    return { words: waits ? 'waits for somebody' : 'under way', good: undefined };
  }
  if (!test.cameIn) {
    return { words: 'stuck', good: false };
  }
  if (test.unmet.length > 0) {
    return { words: 'differs', good: false };
  }
  return test.lines.some((line) => line.stand === 'STUCK')
    ? { words: 'stuck', good: false }
    : { words: 'as it must be', good: true };
}

/** What has ended and still lies in mailboxes. */
export function toCleanUp(tests: Sent[]): string[] {
  return tests
    .filter((test) => !test.open && test.cameIn && test.cleanedAt === undefined)
    .map((test) => test.id);
}
