import { count } from '../../../lib/numbers';
import { difference, type Column, type Picture } from '../model';

const WIDE = 600;
const BAR = 8;

/** Two columns of outcomes, and the messages that move between them. */
export function FlowPicture({ of }: { of: Picture }) {
  const before = new Map(of.before.fates.map((fate) => [fate.key, fate.messages]));
  return (
    <div
      aria-hidden="true"
      className="grid grid-cols-[minmax(0,1fr)_minmax(0,1.4fr)_minmax(0,1fr)] gap-x-2 text-[13px] max-columns:hidden"
    >
      <p className="mb-2 text-right text-sm font-semibold text-ink2">what the rules of now do</p>
      <span />
      <p className="mb-2 text-sm font-semibold text-ink2">what the others would do</p>
      <Labels column={of.before} height={of.height} />
      <svg viewBox={`0 0 ${WIDE} ${of.height}`} height={of.height} width="100%" preserveAspectRatio="none">
        {[...of.bands]
          .sort((one, other) => Number(one.changes) - Number(other.changes))
          .map((band) => (
            <path
              key={`${band.from} ${band.to} ${band.changes}`}
              d={ribbon(band.y1, band.thick1, band.y2, band.thick2)}
              className={band.changes ? 'fill-clay opacity-60' : 'fill-stream opacity-60'}
            />
          ))}
        {of.before.fates.map((fate) => (
          <rect key={fate.key} x={0} y={fate.y} width={BAR} height={fate.height} className="fill-moss" />
        ))}
        {of.after.fates.map((fate) => (
          <rect
            key={fate.key}
            x={WIDE - BAR}
            y={fate.y}
            width={BAR}
            height={fate.height}
            className="fill-moss"
          />
        ))}
      </svg>
      <Labels column={of.after} height={of.height} before={before} />
    </div>
  );
}

function ribbon(y1: number, thick1: number, y2: number, thick2: number): string {
  const left = BAR;
  const right = WIDE - BAR;
  const middle = WIDE / 2;
  return (
    `M${left} ${y1} C${middle} ${y1}, ${middle} ${y2}, ${right} ${y2} ` +
    `L${right} ${y2 + thick2} C${middle} ${y2 + thick2}, ${middle} ${y1 + thick1}, ${left} ${y1 + thick1} Z`
  );
}

function Labels({
  column,
  height,
  before,
}: {
  column: Column;
  height: number;
  before?: Map<string, number>;
}) {
  return (
    <svg height={height} width="100%" className="overflow-hidden">
      {column.fates.map((fate) => (
        <foreignObject key={fate.key} x={0} y={fate.y + fate.height / 2 - 10} width="100%" height={20}>
          <p className={`flex gap-1.5 ${before ? '' : 'flex-row-reverse'}`} title={fate.words}>
            <b>{count(fate.messages)}</b>
            {before && (
              <b className="text-clay empty:hidden">{difference(before.get(fate.key) ?? 0, fate.messages)}</b>
            )}
            <span className="truncate">{fate.words}</span>
          </p>
        </foreignObject>
      ))}
    </svg>
  );
}
