import type { NumberCriterion } from '../model';

const KIB = 1024;

/** A size in kilobytes. */
export function NumberValue({
  test,
  onChange,
}: {
  test: NumberCriterion;
  onChange: (test: NumberCriterion) => void;
}) {
  return (
    <label className="mt-[7px] flex items-center gap-1.5 text-sm">
      <input
        aria-label="size in kilobytes"
        type="number"
        min={0}
        className="figures h-[26px] w-28 rounded border border-line2 bg-transparent px-2"
        value={Math.round(test.value / KIB)}
        onChange={(e) => onChange({ ...test, value: Math.max(0, Math.round(Number(e.target.value))) * KIB })}
      />
      KB
    </label>
  );
}
