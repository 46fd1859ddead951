interface Props {
  values: number[];
  label: string;
  width?: number;
  height?: number;
}

/** Counts by week as small bars, oldest first. */
export function Bars({ values, label, width = 116, height = 26 }: Props) {
  const most = Math.max(1, ...values);
  const step = width / Math.max(1, values.length);
  return (
    <svg viewBox={`0 0 ${width} ${height}`} width={width} height={height} role="img" aria-label={label}>
      {values.map((value, i) => {
        const tall = value === 0 ? 1 : Math.max(2, (value / most) * height);
        return (
          <rect
            key={i}
            x={i * step}
            y={height - tall}
            width={Math.max(1, step - 2)}
            height={tall}
            className="fill-moss opacity-75"
          />
        );
      })}
    </svg>
  );
}
