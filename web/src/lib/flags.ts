/** Marks in plain words: "read, flagged and “school-2026”". */
export function marksInWords(flags: string[], tags: string[], taken: string[] = []): string {
  const marks = [
    ...flags.map(flagInWords),
    ...tags.map((tag) => `“${tag}”`),
    ...taken.map((mark) => `no longer ${mark.startsWith('\\') ? flagInWords(mark) : `“${mark}”`}`),
  ];
  return marks.length < 2
    ? marks.join('')
    : `${marks.slice(0, -1).join(', ')} and ${marks[marks.length - 1]}`;
}

function flagInWords(flag: string): string {
  return flag === '\\Seen' ? 'read' : flag.slice(1).toLowerCase();
}
