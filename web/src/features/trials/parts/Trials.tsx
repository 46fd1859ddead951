import { useEffect, useRef } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { problemText } from '../../../api/problem';
import type { Schemas } from '../../../api/client';
import { dayAndTime } from '../../../lib/dates';
import { count, counted } from '../../../lib/numbers';
import { Button } from '../../../ui/Button';
import { Sheet } from '../../../ui/Sheet';
import { Empty, Loading, Trouble } from '../../../ui/States';
import { useMatches } from '../../../ui/useMatches';
import { RealTests } from '../../realtests';
import { mostUrgentFirst } from '../model';
import { useTrials } from '../queries';
import { OneTrial } from './OneTrial';
import { OtherTrials } from './OtherTrials';
import { RuleGroup } from './RuleGroup';
import { TrialFiles } from './TrialFiles';

/** Of so many rules the cases are shown without being asked for. */
const FEW = 20;
const BESIDE = '(min-width: 1100px)';

/** Every trial with what it comes to, by rule, and the cases that none shows. */
export function Trials() {
  const trials = useTrials();
  if (trials.isPending) {
    return <Loading what="Running the trials" />;
  }
  if (trials.isError) {
    return (
      <div className="p-4">
        <Trouble text={problemText(trials.error)} onRetry={() => void trials.refetch()} />
      </div>
    );
  }
  return <All view={trials.data} />;
}

function All({ view }: { view: Schemas['TrialsView'] }) {
  const [search, setSearch] = useSearchParams();
  const navigate = useNavigate();
  const beside = useMatches(BESIDE);
  const lines = [...view.rules.flatMap((rule) => rule.trials), ...view.others];
  const asked = lines.find((trial) => trial.id === search.get('trial'));
  const chosen = asked ?? (beside ? (lines.find((trial) => !trial.holds) ?? lines[0]) : undefined);
  const show = (next: { trial?: string; real?: string }) => setSearch(next, { replace: true });
  const choose = (trial?: string) => show(trial === undefined ? {} : { trial });
  const list = useRef<HTMLDivElement>(null);
  const rule = search.get('rule');
  useEffect(() => {
    if (rule !== null) {
      list.current?.querySelector(`[data-rule="${CSS.escape(rule)}"]`)?.scrollIntoView({ block: 'start' });
    }
  }, [rule]);
  return (
    <div className="flex h-full min-h-0">
      <section data-region aria-label="Trials" className="min-h-0 min-w-0 grow overflow-auto px-4 py-3.5">
        <div className="mb-2.5 flex flex-wrap items-baseline gap-x-2.5 gap-y-1">
          <h1 className="text-lg font-bold">Trials</h1>
          <span className="grow text-sm text-ink2" role="status">
            {inWords(view)}
          </span>
          <div className="flex flex-wrap gap-2.5">
            <Button small onClick={() => void navigate('/trials/rehearsal')}>
              Rehearse …
            </Button>
            {view.kept > 0 && (
              <Button small onClick={() => show({ ...(asked && { trial: asked.id }), real: '' })}>
                Send a real test …
              </Button>
            )}
            <TrialFiles some={view.kept > 0} />
          </div>
        </div>
        {view.rules.length === 0 && view.kept === 0 && (
          <Empty>
            A trial is a message with what must happen to it; all are run whenever something changes. Trials
            belong to rules, and there is none yet.{' '}
            <Link className="font-semibold text-moss" to="/rules/new">
              Start a rule
            </Link>
          </Empty>
        )}
        <div ref={list} className="grid gap-3">
          {mostUrgentFirst(view.rules).map((one) => (
            <RuleGroup
              key={one.rule}
              of={one}
              begunOpen={view.rules.length <= FEW || one.rule === rule}
              chosen={chosen?.id}
              onChoose={choose}
            />
          ))}
          <OtherTrials trials={view.others} chosen={chosen?.id} onChoose={choose} />
        </div>
      </section>
      <RealTests
        open={search.get('real') !== null}
        begun={search.get('real') || chosen?.id}
        onClose={() => choose(asked?.id)}
      />
      {beside ? (
        <aside
          data-region
          aria-label="The selected trial"
          className="w-[440px] shrink-0 overflow-auto border-l border-line bg-sheet px-4 py-4"
        >
          {chosen ? (
            <OneTrial key={chosen.id} id={chosen.id} onRemoved={() => choose()} titled />
          ) : (
            <p className="text-ink2">
              No trial is kept yet. Each rule lists the cases that its trials should show, with a message for
              each: keep them with one click, or keep a message as a trial from the evidence of a rule.
            </p>
          )}
        </aside>
      ) : (
        <Sheet title={chosen?.name ?? 'Trial'} open={chosen !== undefined} onClose={() => choose()}>
          {chosen && <OneTrial key={chosen.id} id={chosen.id} onRemoved={() => choose()} />}
        </Sheet>
      )}
    </div>
  );
}

function inWords({ kept, differing, ranAt }: Schemas['TrialsView']): string {
  return kept === 0
    ? 'none kept yet'
    : `${counted(kept, 'kept', 'kept')} · ${count(kept - differing)} hold · ${count(differing)} ${differing === 1 ? 'differs' : 'differ'} · run ${dayAndTime(ranAt)}`;
}
