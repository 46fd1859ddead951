/** Marks in plain words: "read, flagged and “school-2026”". */
export function marksInWords(flags: string[], tags: string[]): string {
  const marks = [
    ...flags.map((flag) => (flag === '\\Seen' ? 'read' : 'flagged')),
    ...tags.map((tag) => `“${tag}”`),
  ];
  return marks.length < 2
    ? marks.join('')
    : `${marks.slice(0, -1).join(', ')} and ${marks[marks.length - 1]}`;
}
