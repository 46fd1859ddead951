import { useEffect, useMemo, useRef, useState } from 'react';
import { Navigate, useLocation, useNavigate, useParams, useSearchParams } from 'react-router';
import type { Schemas } from '../../../api/client';
import { Problem, problemText } from '../../../api/problem';
import { Loading, Trouble } from '../../../ui/States';
import { absenceOfRule } from '../../absence';
import { item, type Criterion } from '../../criteria';
import { useDrafts, useDropDraft, useKeepDraft, type KeptDraft } from '../../drafts';
import { useMailbox } from '../../mailbox';
import { useRuleBook, type Rule } from '../../rules';
import { useKeepExamples } from '../../trials';
import { ask, begunDraft, draftOf, letterFor, newDraft, trustingForm, type Draft } from '../model';
import { useEvidence, type Counter } from '../queries';
import { EvidencePanel } from './evidence/EvidencePanel';
import { RulePanel } from './rule/RulePanel';
import { SaveBar } from './SaveBar';
import { EditedRule } from './steps/EditedRule';

const KEEP_AFTER = 700;

/** What another place hands over when it opens the workbench. */
interface Handed {
  fresh?: boolean;
  changed?: Rule;
}

export function Workbench() {
  const { rule: id } = useParams();
  const [fresh] = useState(() => crypto.randomUUID());
  const handed = (useLocation().state ?? {}) as Handed;
  const book = useRuleBook();
  const mailbox = useMailbox();
  const drafts = useDrafts();
  const navigate = useNavigate();
  if (id === undefined || id === 'new') {
    return <Navigate to={`/rules/${fresh}`} state={{ fresh: true }} replace />;
  }
  const absence = absenceOfRule(id);
  if (absence !== undefined) {
    return <Navigate to={`/timetable?away=${absence}`} replace />;
  }
  if (book.isPending || mailbox.isPending || drafts.isPending) {
    return <Loading what="Loading the rule" />;
  }
  if (book.isError || mailbox.isError || drafts.isError) {
    const failed = book.error ?? mailbox.error ?? drafts.error;
    return (
      <div className="p-4">
        <Trouble text={problemText(failed)} onRetry={() => void book.refetch()} />
      </div>
    );
  }
  const rules = book.data.document.rules;
  const order = rules.findIndex((rule) => rule.id === id);
  const found = rules[order];
  const kept = drafts.data.get(id);
  if (!found && !kept && !handed.fresh) {
    return (
      <div className="p-4">
        <Trouble text="This rule no longer exists." onRetry={() => void navigate('/rules')} />
      </div>
    );
  }
  const begin = found
    ? draftOf(found, order)
    : kept?.begun
      ? begunDraft(id, kept.begun.picksOut)
      : newDraft(id);
  const changed = handed.changed ? draftOf(handed.changed, Math.max(order, 0)) : undefined;
  return <Bench key={id} begin={begin} kept={kept} changed={changed} rules={rules} mailbox={mailbox.data} />;
}

interface BenchProps {
  begin: Draft;
  kept: KeptDraft | undefined;
  changed: Draft | undefined;
  rules: Rule[];
  mailbox: NonNullable<ReturnType<typeof useMailbox>['data']>;
}

function Bench({ begin: opened, kept, changed, rules, mailbox }: BenchProps) {
  const [search] = useSearchParams();
  const navigate = useNavigate();
  const [begin] = useState(opened);
  const [draft, setDraft] = useState(changed ?? (kept?.bench as Draft | undefined) ?? begin);
  const [counter, setCounter] = useState<Counter>('PICKED');
  const [narrow, setNarrow] = useState<'rule' | 'evidence'>('rule');
  const example = kept?.begun?.example ?? numberOf(search.get('add')) ?? numberOf(search.get('example'));
  const asked = useMemo(() => ask(draft), [draft]);
  const evidence = useEvidence(asked, draft.order, counter, example);
  const isNew = !rules.some((rule) => rule.id === draft.id);
  const problem = evidence.error instanceof Problem ? evidence.error : undefined;
  const faults = problem?.status === 422 ? problem.places : [];
  const [written, setWritten] = useState<Schemas['SampleMessage']>();
  const sample = written ?? letterFor(draft, mailbox.address, evidence.data?.example?.message);
  const drop = useDropDraft();
  const leave = useKept(draft, begin, kept);
  const keepExamples = useKeepExamples();
  const leaveOut = (criterion: Criterion) =>
    setDraft({ ...draft, leavesOut: [...draft.leavesOut, item(criterion)] });
  return (
    <div className="flex h-full min-h-0 flex-col">
      <div className="flex border-b border-line min-[900px]:hidden" role="group" aria-label="View">
        {(['rule', 'evidence'] as const).map((side) => (
          <button
            key={side}
            type="button"
            aria-pressed={narrow === side}
            className={`grow py-2 ${narrow === side ? 'bg-ink text-sheet' : 'bg-sheet'}`}
            onClick={() => setNarrow(side)}
          >
            {side === 'rule' ? 'Rule' : `Evidence · picked ${evidence.data?.counts.picked ?? '–'}`}
          </button>
        ))}
      </div>
      <div className="flex min-h-0 grow">
        <div
          className={`w-full border-r border-line min-[900px]:block min-[900px]:w-[440px] min-[900px]:shrink-0 ${narrow === 'rule' ? '' : 'hidden'}`}
        >
          <EditedRule value={{ asked, order: draft.order }}>
            <RulePanel
              draft={draft}
              asked={asked}
              evidence={evidence.data}
              faults={faults}
              mailbox={mailbox}
              rules={rules.length + (isNew ? 1 : 0)}
              sample={sample}
              onChange={setDraft}
            />
          </EditedRule>
        </div>
        <div className={`min-w-0 grow min-[900px]:block ${narrow === 'evidence' ? '' : 'hidden'}`}>
          <EvidencePanel
            evidence={evidence.data}
            asked={asked}
            order={draft.order}
            error={evidence.error}
            isBehind={evidence.isPlaceholderData || (asked !== undefined && evidence.isPending)}
            counter={counter}
            sample={sample}
            onSample={setWritten}
            onCounter={setCounter}
            onRetry={() => void evidence.refetch()}
            onMore={() => evidence.isFetching || void evidence.fetchNextPage()}
            onLeaveOut={leaveOut}
            onTrustForm={(form) => setDraft(trustingForm(draft, form))}
          />
        </div>
      </div>
      <SaveBar
        draft={draft}
        begin={begin}
        isNew={isNew}
        picked={evidence.data?.counts.picked}
        unfinished={evidence.data?.unfinished ?? []}
        cautions={evidence.data?.cautions ?? []}
        warnings={evidence.data?.warnings ?? []}
        shadows={evidence.data?.shadows ?? []}
        presetEnding={evidence.data?.presetEnding ?? 'continue'}
        onChange={setDraft}
        difference={evidence.data?.difference}
        onSaved={() => {
          if (isNew && kept?.begun?.examples) {
            keepExamples(draft.id, kept.begun.examples);
          }
          leave();
          drop.mutate(draft.id);
        }}
        onDrop={() => {
          drop.mutate(draft.id);
          if (isNew) {
            leave();
            void navigate('/rules');
          } else {
            setDraft(begin);
          }
        }}
      />
    </div>
  );
}

/** Keeps what is not saved yet, a moment after each change; gives a way to stop that once it is saved. */
function useKept(draft: Draft, begin: Draft, kept: KeptDraft | undefined): () => void {
  const { mutate } = useKeepDraft();
  const [begun] = useState(kept?.begun);
  const last = useRef(draft);
  const left = useRef(false);
  useEffect(() => {
    if (draft === last.current || draft === begin) {
      return;
    }
    last.current = draft;
    const document: KeptDraft = { ...(begun ? { begun } : {}), bench: draft };
    const timer = setTimeout(() => {
      if (!left.current) {
        mutate({ rule: draft.id, document });
      }
    }, KEEP_AFTER);
    return () => clearTimeout(timer);
  }, [draft, begin, begun, mutate]);
  return () => {
    left.current = true;
  };
}

function numberOf(written: string | null): number | undefined {
  return written === null || Number.isNaN(Number(written)) ? undefined : Number(written);
}
