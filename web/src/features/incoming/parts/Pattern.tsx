import type { Schemas } from '../../../api/client';

/** A pattern of subjects, with slots where they vary. */
export function Pattern({ pattern }: { pattern: Schemas['Pattern'] }) {
  return pattern.pieces.map((piece, i) => (
    <span key={i}>
      {i > 0 && ' '}
      {piece.slot ? (
        <span className="rounded-sm border border-dashed border-line2 px-1 text-[12.5px] text-ink2">
          {piece.words}
        </span>
      ) : (
        piece.words
      )}
    </span>
  ));
}
