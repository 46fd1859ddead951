import type { Possible } from '../model';

interface Props {
  test: Possible;
  chosen: boolean;
  onChoose: (on: boolean) => void;
}

/** A trial that can be sent, with what would come of it. */
export function PossibleRow({ test, chosen, onChoose }: Props) {
  return (
    <li className="border-b border-line px-3 py-1.5 text-[13.5px] last:border-b-0">
      <label className="grid grid-cols-[20px_minmax(0,1fr)] items-baseline gap-x-2 columns:grid-cols-[20px_minmax(0,1fr)_minmax(0,1fr)]">
        <input
          type="checkbox"
          className="translate-y-0.5 accent-moss"
          checked={chosen}
          onChange={(e) => onChoose(e.target.checked)}
        />
        <span className="truncate font-semibold">
          <bdi>{test.name}</bdi>
        </span>
        <span className="text-ink2 max-columns:col-start-2">
          {test.happens.map((one) => one.words).join(' · ')}
        </span>
      </label>
    </li>
  );
}
