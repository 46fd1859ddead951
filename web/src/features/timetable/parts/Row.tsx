import type { ReactNode } from 'react';
import { placed, type Column, type Span } from '../model';

interface Props {
  name: ReactNode;
  told: ReactNode;
  next: ReactNode;
  children: ReactNode;
}

/** One row: what it is, its picture, and what comes next in words. */
export function Row({ name, told, next, children }: Props) {
  return (
    <div
      role="row"
      className="grid grid-cols-1 border-t border-line columns:grid-cols-[230px_minmax(0,1fr)_230px]"
    >
      <div role="rowheader" className="min-w-0 px-3 py-1.5">
        <div className="truncate font-semibold">{name}</div>
        <div className="text-sm text-ink2">{told}</div>
      </div>
      <div role="cell" className="relative hidden min-h-11 overflow-hidden columns:block">
        {children}
      </div>
      <div role="cell" className="border-line px-3 py-1.5 text-sm text-ink2 columns:border-l">
        {next}
      </div>
    </div>
  );
}

/** The days behind all bars: weekends and closed days shaded, today marked. */
export function Days({ days, closed, now }: { days: Column[]; closed: Set<string>; now: number }) {
  return (
    <div aria-hidden className="absolute inset-0 flex">
      {days.map(({ day, weekend }) => (
        <span
          key={day}
          className={`min-w-0 grow basis-0 border-line ${days.length < 100 ? 'border-l' : ''} ${
            closed.has(day) ? 'bg-line' : weekend ? 'bg-ground' : ''
          }`}
        />
      ))}
      {now >= 0 && now <= 100 && (
        <span className="absolute inset-y-0 z-20 w-0.5 bg-clay" style={{ left: `${now}%` }} />
      )}
    </div>
  );
}

const LOOKS = { rule: 'bg-moss', paused: 'bg-file opacity-40', hours: 'bg-stream', closed: 'bg-reply-deep' };

interface BarsProps {
  spans: Span[];
  from: string;
  until: string;
  look: keyof typeof LOOKS;
}

export function Bars({ spans, from, until, look }: BarsProps) {
  return spans.map((span) => {
    const { left, width } = placed(span, from, until);
    return (
      <span
        key={span.from}
        aria-hidden
        className={`absolute top-3 h-5 min-w-px rounded-sm ${LOOKS[look]}`}
        style={{ left: `${left}%`, width: `${width}%` }}
      />
    );
  });
}
