import { Link, useSearchParams } from 'react-router';
import { problemText } from '../../../api/problem';
import type { Schemas } from '../../../api/client';
import { Empty, Loading, Trouble } from '../../../ui/States';
import { edgeInWords, outcomeInWords, type TriedRule } from '../model';
import { useLoops } from '../queries';
import { Messages } from './Messages';
import { Picture } from './Picture';

/** Who is sent mail by rules that are on, and whether it comes back: drawn, in words, and message by message. */
export function WhereMailGoes() {
  const loops = useLoops();
  if (loops.isPending) {
    return <Loading what="Playing the rules through" />;
  }
  if (loops.isError) {
    return (
      <div className="p-4">
        <Trouble text={problemText(loops.error)} onRetry={() => void loops.refetch()} />
      </div>
    );
  }
  return <Shown loops={loops.data} />;
}

function Shown({ loops }: { loops: Schemas['LoopsView'] }) {
  const [search, setSearch] = useSearchParams();
  const wanted = search.get('rule');
  const chosen = loops.rules.find((one) => one.rule === wanted) ?? worstOf(loops.rules);
  const known = new Map(loops.nodes.map((node) => [node.id, node]));
  return (
    <div className="flex h-full min-h-0 flex-col min-[1100px]:flex-row">
      <section
        data-region
        aria-label="Where mail goes"
        className="min-h-0 min-w-0 grow overflow-auto px-4 py-3.5"
      >
        <h1 className="text-lg font-bold">Where mail goes</h1>
        <p className="text-sm text-ink2">
          Whom the rules that are on send mail, in all your mailboxes. Each of them is played through with a
          message that it picks; nothing leaves.{' '}
          <Link className="font-semibold text-moss" to="/rules">
            Back to the rules
          </Link>
        </p>
        {loops.edges.length === 0 ? (
          <Empty>No rule that is on sends mail to anybody.</Empty>
        ) : (
          <>
            <div
              className="mt-3 overflow-auto rounded border border-line bg-sheet"
              role="group"
              aria-label="Picture"
              tabIndex={0}
            >
              <Picture nodes={loops.nodes} edges={loops.edges} />
            </div>
            <Legend />
            <ul className="mt-2 text-sm">
              {loops.edges.map((edge) => (
                <li key={`${edge.from} ${edge.to}`} className="border-t border-line py-1 break-words">
                  {edgeInWords(edge, known)}
                </li>
              ))}
            </ul>
          </>
        )}
      </section>
      {chosen && (
        <aside
          data-region
          aria-label="Played through"
          className="max-h-[50%] shrink-0 overflow-auto border-t border-line2 bg-sheet px-4 py-3.5 min-[1100px]:max-h-none min-[1100px]:w-[380px] min-[1100px]:border-t-0 min-[1100px]:border-l min-[1100px]:border-line"
        >
          <h2 className="font-semibold">Does what this mailbox sends come back?</h2>
          <ul className="mt-1.5">
            {loops.rules.map((tried) => (
              <li key={tried.rule}>
                <button
                  type="button"
                  aria-pressed={tried === chosen}
                  className={`w-full rounded px-2 py-1 text-left ${tried === chosen ? 'bg-moss-soft' : ''}`}
                  onClick={() => setSearch({ view: 'where-mail-goes', rule: tried.rule }, { replace: true })}
                >
                  <span className="block font-semibold">{tried.name}</span>
                  <span
                    className={`text-sm ${tried.how === 'ENDLESS' ? 'font-semibold text-clay' : 'text-ink2'}`}
                  >
                    {outcomeInWords(tried.how)}
                  </span>
                </button>
              </li>
            ))}
          </ul>
          <h3 className="mt-4 text-sm font-semibold text-ink2">{chosen.name}</h3>
          {chosen.finding && (
            <p className="mt-1 rounded bg-clay-soft px-2 py-1">{chosen.finding.cause.words}</p>
          )}
          <Messages tried={chosen} />
          {chosen.messages.length === 0 && <p className="mt-1">{quietly(chosen)}</p>}
          <p className="mt-2 text-sm">
            <Link className="font-semibold text-moss" to={`/rules/${chosen.rule}`}>
              Open the rule
            </Link>
          </p>
        </aside>
      )}
    </div>
  );
}

function Legend() {
  return (
    <p className="mt-1.5 flex flex-wrap gap-x-4 text-sm text-ink2">
      <span>
        <b className="text-moss">filled</b> a mailbox here
      </span>
      <span>
        <b>dashed box</b> outside
      </span>
      <span>
        <b>dotted line</b> an answer
      </span>
      <span>
        <b className="text-clay">dashed line</b> goes round, and ends
      </span>
      <span>
        <b className="text-clay">thick line</b> goes round without end
      </span>
    </p>
  );
}

function quietly(tried: TriedRule): string {
  return tried.how === undefined
    ? 'No message could be made up that it picks, so it was not played through.'
    : 'Played through with people, with automatic replies and with programs that answer everything: nothing came back that a rule would have sent on.';
}

const WORST: (TriedRule['how'] | undefined)[] = ['ENDLESS', 'WENT_ROUND', 'CAME_BACK', 'QUIET', undefined];

function worstOf(rules: TriedRule[]): TriedRule | undefined {
  return [...rules].sort((one, other) => WORST.indexOf(one.how) - WORST.indexOf(other.how))[0];
}
