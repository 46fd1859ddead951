import { useRef, useState, type PointerEvent, type ReactNode } from 'react';
import { weekday } from '../../../lib/dates';
import { useToday } from '../../mailbox';
import { shortDays, standingInWords, type Absence } from '../model';

interface Days {
  first: string;
  last: string;
}

interface LaneProps {
  /** The days that are shown. */
  days: string[];
  onDrawn: (days: Days) => void;
  children: ReactNode;
}

/** The lane of absences: a new one is drawn on its days. */
export function AbsenceRow({ days, onDrawn, children }: LaneProps) {
  const begun = useRef<string>(undefined);
  const [drawn, setDrawn] = useState<Days>();
  const dayAt = (e: PointerEvent<HTMLDivElement>) => {
    const lane = e.currentTarget.getBoundingClientRect();
    const at = Math.floor(((e.clientX - lane.left) / lane.width) * days.length);
    return days[Math.min(Math.max(at, 0), days.length - 1)] ?? '';
  };
  const between = (one: string, other: string) =>
    one < other ? { first: one, last: other } : { first: other, last: one };
  const left = drawn ? (days.indexOf(drawn.first) / days.length) * 100 : 0;
  const width = drawn ? ((days.indexOf(drawn.last) - days.indexOf(drawn.first) + 1) / days.length) * 100 : 0;
  return (
    // By keyboard an absence begins with the button above the table.
    <div
      data-lane="absences"
      className="absolute inset-0 cursor-crosshair touch-none"
      onPointerDown={(e) => {
        if (e.target === e.currentTarget) {
          e.currentTarget.setPointerCapture(e.pointerId);
          begun.current = dayAt(e);
          setDrawn(between(begun.current, begun.current));
        }
      }}
      onPointerMove={(e) => {
        if (begun.current) {
          setDrawn(between(begun.current, dayAt(e)));
        }
      }}
      onPointerUp={() => {
        begun.current = undefined;
        if (drawn) {
          onDrawn(drawn);
          setDrawn(undefined);
        }
      }}
    >
      {drawn && (
        <span
          aria-hidden
          className="pointer-events-none absolute top-2.5 z-10 h-6 rounded border-2 border-dashed border-moss bg-moss-soft"
          style={{ left: `${left}%`, width: `${width}%` }}
        />
      )}
      {children}
    </div>
  );
}

/** Each absence that is not over, in words, to be opened. */
export function NextAbsences({ of, onOpen }: { of: Absence[]; onOpen: (absence: Absence) => void }) {
  const today = useToday();
  if (of.length === 0) {
    return <>none planned</>;
  }
  return (
    <ul>
      {of.map((one) => (
        <li key={one.id}>
          <button type="button" className="text-left hover:underline" onClick={() => onOpen(one)}>
            <b className="text-ink">{shortDays(one.form, today)}</b>{' '}
            {one.over ? 'over' : one.under ? 'now' : `begins ${weekday(one.form.first)}`}
            <span className={`block ${one.findings.length > 0 ? 'text-clay' : ''}`}>
              {one.over ? 'see what happened' : (one.findings[0]?.words ?? standingInWords(one))}
            </span>
          </button>
        </li>
      ))}
    </ul>
  );
}
