const PLAIN = new Intl.NumberFormat('en-GB');

export function count(n: number): string {
  return PLAIN.format(n);
}

/** "1 message", "2 messages". */
export function counted(n: number, one: string, many = `${one}s`): string {
  return `${count(n)} ${n === 1 ? one : many}`;
}
