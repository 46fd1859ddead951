/** A statement for tests; what it is about is its code. */
export function said(words: string, code = 'SAID') {
  return { code, arguments: [], words };
}
