import { dayAndTime } from '../../../lib/dates';
import { counted } from '../../../lib/numbers';
import { Button } from '../../../ui/Button';
import { useDemoClock, useMoveClock } from '../queries';

const HOUR = 3600;
const MOVES = [
  { text: '+1 hour', by: HOUR },
  { text: '+1 day', by: 24 * HOUR },
  { text: '+1 week', by: 168 * HOUR },
];

/** The clock of the simulated world; it is said plainly that it is not the real one. */
export function DemoClock() {
  const clock = useDemoClock();
  const move = useMoveClock();
  const offset = clock.data?.offsetSeconds ?? 0;
  return (
    <div className="flex flex-wrap items-center gap-2 text-sm">
      <span>
        the demo’s clock: <b className="figures">{clock.data ? dayAndTime(clock.data.now) : '…'}</b>
        {offset !== 0 && <span className="text-clay"> (moved by {inWords(offset)})</span>}
      </span>
      {MOVES.map(({ text, by }) => (
        <Button key={text} small disabled={move.isPending} onClick={() => move.mutate(offset + by)}>
          {text}
        </Button>
      ))}
      <span className="text-ink2">
        It goes forward only; <code>bin/demo --fresh</code> begins again at today’s time.
      </span>
    </div>
  );
}

function inWords(seconds: number): string {
  const hours = Math.round(seconds / HOUR);
  return hours % 24 === 0 ? counted(hours / 24, 'day') : counted(hours, 'hour');
}
