/** Marks in plain words: "read, flagged and “school-2026”". */
export function marksInWords(flags: string[], tags: string[], unwrap: string[] = []): string {
  const marks = [
    ...flags.map(flagInWords),
    ...tags.map((tag) => `“${tag}”`),
    ...unwrap.map((mark) => `no longer ${mark.startsWith('\\') ? flagInWords(mark) : `“${mark}”`}`),
  ];
  return marks.length < 2
    ? marks.join('')
    : `${marks.slice(0, -1).join(', ')} and ${marks[marks.length - 1]}`;
}

function flagInWords(flag: string): string {
  return flag === '\\Seen' ? 'read' : flag.slice(1).toLowerCase();
}

const TAG_COLOURS = [
  'border-forward',
  'border-redirect',
  'border-reply',
  'border-moss',
  'border-clay',
  'border-file',
];

/** A tag has the same colour wherever it stands; its word stands beside it. */
export function tagColour(tag: string): string {
  let sum = 0;
  for (const sign of tag.toLowerCase()) {
    sum = (sum * 31 + (sign.codePointAt(0) ?? 0)) % 9973;
  }
  return TAG_COLOURS[sum % TAG_COLOURS.length] ?? 'border-file';
}
