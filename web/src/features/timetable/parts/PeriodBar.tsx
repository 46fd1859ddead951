import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { daysBetween, movedBy, type Days } from '../model';

interface Props {
  name: string;
  days: Days;
  /** The first day that is shown, and how many. */
  from: string;
  shown: number;
  changed: boolean;
  /** Inside the bar. */
  text?: string;
  onChange: (days: Days) => void;
  onOpen?: () => void;
}

/** Within so many pixels of its end, a bar is made longer or shorter instead of moved. */
const END = 10;

const STEPS: Record<string, number> = { ArrowLeft: -1, ArrowRight: 1, PageUp: -7, PageDown: 7 };

/** The days of a rule as a bar that is moved by mouse, or by the arrow keys. */
export function PeriodBar({ name, days, from, shown, changed, text, onChange, onOpen }: Props) {
  const grip = useRef<{ x: number; days: Days; width: number; lastAlone: boolean; by: number }>(undefined);
  const left = (daysBetween(from, days.first) / shown) * 100;
  const width = ((daysBetween(days.first, days.last) + 1) / shown) * 100;
  const onKeyDown = (e: KeyboardEvent) => {
    const by = STEPS[e.key];
    if (by !== undefined) {
      e.preventDefault();
      onChange(movedBy(days, by, e.shiftKey));
    }
  };
  const onPointerDown = (e: PointerEvent<HTMLButtonElement>) => {
    const bar = e.currentTarget.getBoundingClientRect();
    const all = e.currentTarget.parentElement?.getBoundingClientRect().width ?? bar.width;
    e.currentTarget.setPointerCapture(e.pointerId);
    grip.current = { x: e.clientX, days, width: all / shown, lastAlone: bar.right - e.clientX < END, by: 0 };
  };
  const onPointerMove = (e: PointerEvent) => {
    const held = grip.current;
    if (held) {
      const by = Math.round((e.clientX - held.x) / held.width);
      if (by !== held.by) {
        grip.current = { ...held, by };
        onChange(movedBy(held.days, by, held.lastAlone));
      }
    }
  };
  return (
    <button
      type="button"
      aria-label={`${name}, ${days.first} to ${days.last}. Arrow keys move it by a day, with Shift its last day.`}
      className={`absolute top-2.5 z-10 h-6 cursor-grab touch-none truncate rounded border-2 px-1 text-left text-[12px] leading-4 ${changed ? 'border-dashed border-moss bg-moss-soft text-moss' : 'border-moss bg-moss text-on-moss'}`}
      // The place of a bar is what it shows.
      style={{ left: `${left}%`, width: `${width}%` }}
      onKeyDown={onKeyDown}
      onPointerDown={onPointerDown}
      onPointerMove={onPointerMove}
      onPointerUp={() => (grip.current = undefined)}
      onClick={onOpen}
    >
      {text}
    </button>
  );
}
