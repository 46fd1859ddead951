import { Link } from 'react-router';
import type { Schemas } from '../../../api/client';
import { weekday } from '../../../lib/dates';
import { count, counted } from '../../../lib/numbers';
import { Glyph } from '../../../ui/glyphs';
import { doneLines } from '../model';

type Day = Schemas['DeskDay'];

const FILL: Partial<Record<Day['done'][number]['kind'], string>> = {
  FORWARD: 'fill-forward',
  REDIRECT: 'fill-redirect',
  REPLY: 'fill-reply',
  FILE: 'fill-file',
  TRASH: 'fill-ink2',
};

/** The mail of each of the last days, by what was done with it; below, how much of each. */
export function Days({ days, done }: { days: Day[]; done: Schemas['DoneCount'][] }) {
  const most = Math.max(1, ...days.map((day) => day.came));
  const left = days.reduce((sum, day) => sum + day.inInbox, 0);
  const since = days[0] ? `&since=${days[0].day}` : '';
  return (
    <>
      <ul
        aria-label="The mail of each day"
        className="grid grid-cols-7 gap-2.5 rounded-md border border-line bg-sheet px-3.5 pt-2.5 pb-2 text-center text-[12px] text-ink2"
      >
        {days.map((day) => (
          <li key={day.day} className="figures flex h-[136px] flex-col justify-end">
            <Link
              className="flex flex-col justify-end hover:underline"
              to={`/records?since=${day.day}&until=${day.day}`}
            >
              <Column day={day} most={most} />
              {weekday(day.day)}
            </Link>
          </li>
        ))}
      </ul>
      <ul aria-label="What was done" className="mt-2 flex flex-wrap gap-x-4 gap-y-1">
        {doneLines(done).map(({ kind, words }) => (
          <li key={kind}>
            <Link
              className="inline-flex items-center gap-1.5 hover:underline"
              to={`/records?view=done&action=${kind}${since}`}
            >
              <Glyph of={kind} /> {words}
            </Link>
          </li>
        ))}
        {done.length === 0 && <li className="text-ink2">no rule did anything</li>}
        <li className="text-ink2">{count(left)} left in the inbox</li>
      </ul>
    </>
  );
}

/** How high the column of the day with most mail is, in pixels. */
const TALL = 100;

/** What was done with most weight on top; what stayed in the inbox at the foot. */
function Column({ day, most }: { day: Day; most: number }) {
  const high = (messages: number) => (messages / most) * TALL;
  const parts = [
    ...day.done.map((one) => ({ fill: FILL[one.kind] ?? 'fill-line2', messages: one.messages })),
    { fill: 'fill-moss-soft', messages: day.inInbox },
  ];
  const above = (at: number) => parts.slice(0, at).reduce((sum, part) => sum + part.messages, 0);
  const words = [
    `${weekday(day.day)}: ${counted(day.came, 'message')}`,
    ...doneLines(day.done).map((line) => line.words),
    `${count(day.inInbox)} left in the inbox`,
  ].join(', ');
  return (
    <>
      {count(day.came)}
      <svg role="img" aria-label={words} height={Math.max(1, high(day.came))} className="block w-full">
        <title>{words}</title>
        {parts.map((part, i) => (
          <rect
            key={i}
            y={high(above(i))}
            width="100%"
            height={Math.max(0, high(part.messages) - 1)}
            className={part.fill}
          />
        ))}
      </svg>
    </>
  );
}
