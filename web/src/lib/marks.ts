export interface Span {
  start: number;
  end: number;
}

export interface Piece {
  text: string;
  marked: boolean;
}

/** Cuts a text at its marks (UTF-16 units, half open, sorted, not overlapping). */
export function pieces(text: string, marks: Span[]): Piece[] {
  const all: Piece[] = [];
  let at = 0;
  for (const mark of marks) {
    if (mark.start > at) {
      all.push({ text: text.slice(at, mark.start), marked: false });
    }
    all.push({ text: text.slice(mark.start, mark.end), marked: true });
    at = mark.end;
  }
  if (at < text.length) {
    all.push({ text: text.slice(at), marked: false });
  }
  return all;
}
