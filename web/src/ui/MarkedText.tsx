import { pieces, type Span } from '../lib/marks';

/** A text with the matched words marked; its direction of writing is its own. */
export function MarkedText({ text, marks }: { text: string; marks: Span[] }) {
  return (
    <bdi>
      {pieces(text, marks).map((piece, i) =>
        piece.marked ? (
          <mark key={i} className="rounded-sm bg-mark px-px text-inherit">
            {piece.text}
          </mark>
        ) : (
          <span key={i}>{piece.text}</span>
        ),
      )}
    </bdi>
  );
}
