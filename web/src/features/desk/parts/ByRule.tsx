import { Link } from 'react-router';
import { problemText } from '../../../api/problem';
import { count, counted } from '../../../lib/numbers';
import { Trouble } from '../../../ui/States';
import { Glyph } from '../../../ui/glyphs';
import { LookingThrough } from '../../mailbox';
import { Stream, stream, useCourseFigures, useRuleBook } from '../../rules';

const DAYS = 7;
const SHOWN = 8;

/** The stream: all mail of the last days, and how much of it each of today's rules takes. */
export function ByRule() {
  const book = useRuleBook();
  const figures = useCourseFigures(book.data?.version, DAYS);
  const picked = new Map((figures.data?.rules ?? []).map((r) => [r.rule, r.picked]));
  const rules = (book.data?.document.rules ?? []).filter((rule) => rule.on);
  const window = figures.data?.messages ?? 0;
  const taking = stream(rules, window, picked).filter((part) => part.picked > 0);
  const parts = taking.slice(0, SHOWN);
  const names = new Map(rules.map((rule) => [rule.id, rule.name]));
  return (
    <section aria-label="By today’s rules">
      <h2 className="mb-1.5 font-bold">By today’s rules</h2>
      {figures.isError && (
        <Trouble text={problemText(figures.error)} onRetry={() => void figures.refetch()} />
      )}
      {figures.isPending && <LookingThrough />}
      {rules.length === 0 && book.data && (
        <p className="text-ink2">
          No rule is on, so all mail stays in the inbox.{' '}
          <Link className="font-semibold text-moss hover:underline" to="/incoming">
            See recurring mail
          </Link>{' '}
          and start a rule from it.
        </p>
      )}
      {figures.data && rules.length > 0 && (
        <>
          <p className="mb-1 text-sm text-ink2">What they do with the mail of the last 7 days:</p>
          <div className="flex">
            <Stream parts={parts} window={window} />
            <ul className="min-w-0 grow">
              {parts.map((part) => (
                <li key={part.rule} className="flex h-[52px] items-center gap-2 border-b border-line pl-1">
                  {part.kind && <Glyph of={part.kind} />}
                  <Link className="min-w-0 grow truncate hover:underline" to={`/rules/${part.rule}`}>
                    {names.get(part.rule)}
                  </Link>
                  <b className="figures">{count(part.picked)}</b>
                </li>
              ))}
            </ul>
          </div>
          {taking.length > SHOWN && (
            <p className="mt-1 text-sm">
              <Link className="font-semibold text-moss hover:underline" to="/rules">
                and {taking.length - SHOWN} more rules
              </Link>
            </p>
          )}
          <p className="figures mt-1 text-sm">
            {counted(figures.data.inInbox, 'message')} {figures.data.inInbox === 1 ? 'stays' : 'stay'} in the
            inbox
          </p>
        </>
      )}
    </section>
  );
}
