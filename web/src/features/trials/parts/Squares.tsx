import type { Square } from '../model';

const LOOKS: Record<Square, string> = {
  holds: 'bg-moss border-moss',
  differs: 'bg-clay border-clay',
  missing: 'border-dashed border-line2',
};
const MOST = 24;

/** One small square for each case that trials of a rule should show. */
export function Squares({ of }: { of: Square[] }) {
  const count = (kind: Square) => of.filter((one) => one === kind).length;
  return (
    <span
      role="img"
      aria-label={`${count('holds')} hold, ${count('differs')} differ, ${count('missing')} missing`}
      className="inline-flex gap-0.5 align-[1px]"
    >
      {of.slice(0, MOST).map((kind, i) => (
        <i key={i} className={`size-[9px] rounded-[2px] border-[1.5px] ${LOOKS[kind]}`} />
      ))}
    </span>
  );
}
