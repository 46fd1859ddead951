import { Link } from 'react-router';
import { problemText } from '../../../api/problem';
import { dayAndTime } from '../../../lib/dates';
import { count, counted } from '../../../lib/numbers';
import { Glyph } from '../../../ui/glyphs';
import { Loading, Trouble } from '../../../ui/States';
import { doneLines } from '../model';
import { useDesk, useLeavingTheDesk } from '../queries';
import { NeedsYou } from './NeedsYou';
import { Week } from './Week';

/** What Jubek did since the person last looked, what needs them, and where the mail of the last days went. */
export function Desk() {
  const desk = useDesk();
  useLeavingTheDesk();
  if (desk.isPending) {
    return <Loading what="Loading the desk" />;
  }
  if (desk.isError) {
    return (
      <div className="p-4">
        <Trouble text={problemText(desk.error)} onRetry={() => void desk.refetch()} />
      </div>
    );
  }
  const { lastVisit, came, done } = desk.data;
  return (
    <section data-region aria-label="Desk" className="h-full overflow-auto px-4 py-3.5">
      <h1 className="text-lg font-bold">Desk</h1>
      <p className="mt-1 text-ink2">
        In the last 7 days:{' '}
        <Link className="font-semibold text-ink hover:underline" to="/incoming?view=messages">
          {counted(came, 'message')} came in
        </Link>
        {lastVisit &&
          ` · ${lastVisit.came === 0 ? 'none' : count(lastVisit.came)} since your last visit, ${dayAndTime(lastVisit.at)}`}
      </p>
      <ul aria-label="What was done" className="mt-1.5 flex flex-wrap gap-x-4 gap-y-1">
        {doneLines(done).map(({ kind, words }) => (
          <li key={kind}>
            <Link className="inline-flex items-center gap-1.5 hover:underline" to="/records?view=done">
              <Glyph of={kind} /> {words}
            </Link>
          </li>
        ))}
        {done.length === 0 && <li className="text-ink2">no rule did anything</li>}
      </ul>
      <div className="mt-5 grid gap-x-8 gap-y-6 min-[1000px]:grid-cols-[minmax(0,1fr)_440px]">
        <NeedsYou />
        <Week />
      </div>
    </section>
  );
}
