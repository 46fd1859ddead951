import type { Happening } from '../../../ui/glyphs';
import type { StreamPart } from '../model';

const ROW = 52;
const FULL = 22;
const EDGE = 40;

const BRANCH: Record<Happening, string> = {
  FORWARD: 'stroke-forward',
  REDIRECT: 'stroke-redirect',
  REPLY: 'stroke-reply',
  ANSWER_COPY: 'stroke-reply',
  FILE: 'stroke-file',
  FILE_ELSEWHERE: 'stroke-file',
  OUT_OF_JUNK: 'stroke-file',
  ARCHIVE: 'stroke-file',
  COPY: 'stroke-file',
  TRASH: 'stroke-ink2',
  DELETE: 'stroke-clay',
  MARK: 'stroke-ink2',
  NOTIFY: 'stroke-ink2',
  REMIND: 'stroke-ink2',
  KEEP: 'stroke-ink2',
  BRING_BACK: 'stroke-clay',
  FOLLOW_UP: 'stroke-ink2',
  UNDO: 'stroke-ink2',
  HELD: 'stroke-clay',
};

/** The mail still flowing, in proportion: it narrows where a rule ends the run. */
export function Stream({ parts, window }: { parts: StreamPart[]; window: number }) {
  const wide = (n: number) => (window === 0 ? FULL : Math.max(1, (n / window) * FULL));
  const height = parts.length * ROW + 14;
  let outline = `M1 0 L${1 + FULL} 0`;
  parts.forEach((part, i) => {
    const after = part.ends ? part.left - part.picked : part.left;
    outline += ` L${1 + wide(part.left)} ${i * ROW + 12} L${1 + wide(after)} ${i * ROW + 40}`;
  });
  const last = parts.at(-1);
  const rest = last ? (last.ends ? last.left - last.picked : last.left) : window;
  outline += ` L${1 + wide(rest)} ${height} L1 ${height} Z`;
  return (
    <svg width={EDGE} height={height} viewBox={`0 0 ${EDGE} ${height}`} aria-hidden="true" className="block">
      {parts
        .filter((part) => part.picked > 0)
        .map((part) => {
          const middle = parts.indexOf(part) * ROW + ROW / 2;
          const from = wide(part.left);
          return (
            <path
              key={part.rule}
              d={`M${from - 1} ${middle - 13} C ${from + 5} ${middle}, ${from + 4} ${middle}, ${EDGE} ${middle}`}
              fill="none"
              className={part.kind ? BRANCH[part.kind] : 'stroke-line2'}
              strokeWidth={Math.max(1.5, wide(part.picked) * 1.4)}
            />
          );
        })}
      <path d={outline} className="fill-stream" />
    </svg>
  );
}
