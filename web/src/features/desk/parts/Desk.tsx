import { Link } from 'react-router';
import { problemText } from '../../../api/problem';
import { dayAndTime } from '../../../lib/dates';
import { count, counted } from '../../../lib/numbers';
import { Loading, Trouble } from '../../../ui/States';
import { useDesk, useLeavingTheDesk } from '../queries';
import { ChangedMail } from './ChangedMail';
import { ComingUp } from './ComingUp';
import { Days } from './Days';
import { NeedsYou } from './NeedsYou';
import { ByRule } from './ByRule';
import { WorthALook } from './WorthALook';

/** What needs a person, what was done in the last days, what comes up, and where mail goes by today's rules. */
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
  const { lastVisit, came, done, days } = desk.data;
  return (
    <div className="h-full overflow-auto min-[1000px]:flex min-[1000px]:overflow-hidden">
      <section data-region aria-label="Desk" className="min-w-0 grow px-5 py-3.5 min-[1000px]:overflow-auto">
        <h1 className="text-lg font-bold">Desk</h1>
        <p className="mt-0.5 text-ink2">
          In the last 7 days:{' '}
          <Link className="font-semibold text-ink hover:underline" to="/incoming?view=messages">
            {counted(came, 'message')} came in
          </Link>
          {lastVisit &&
            ` · ${lastVisit.came === 0 ? 'none' : count(lastVisit.came)} since your last visit, ${dayAndTime(lastVisit.at)}`}
        </p>
        <div className="mt-4 grid gap-y-5">
          <NeedsYou />
          <section aria-label="The last 7 days">
            <h2 className="mb-1.5 font-bold">The last 7 days</h2>
            <Days days={days} done={done} />
          </section>
        </div>
      </section>
      <aside
        data-region
        aria-label="Coming up, and worth a look"
        className="grid shrink-0 content-start gap-y-6 border-line bg-sheet px-4 py-3.5 max-[999px]:mt-2 max-[999px]:border-t min-[1000px]:w-[372px] min-[1000px]:overflow-auto min-[1000px]:border-l"
      >
        <ComingUp />
        <ChangedMail />
        <WorthALook />
        <ByRule />
      </aside>
    </div>
  );
}
