import { useDeferredValue, useMemo, useState } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { Problem, problemText } from '../../../api/problem';
import { Loading, Trouble } from '../../../ui/States';
import { useMailbox } from '../../mailbox';
import { useRuleBook, type Rule } from '../../rules';
import { ask, draftOf, newDraft, type Draft } from '../model';
import { useEvidence, type Counter } from '../queries';
import { EvidencePanel } from './EvidencePanel';
import { RulePanel } from './RulePanel';
import { SaveBar } from './SaveBar';

export function Workbench() {
  const { rule: id } = useParams();
  const [search] = useSearchParams();
  const book = useRuleBook();
  const mailbox = useMailbox();
  const navigate = useNavigate();
  if (book.isPending || mailbox.isPending) {
    return <Loading what="Opening the rule" />;
  }
  if (book.isError || mailbox.isError) {
    return (
      <div className="p-4">
        <Trouble text={problemText(book.error ?? mailbox.error)} onRetry={() => void book.refetch()} />
      </div>
    );
  }
  const rules = book.data.document.rules;
  const order = rules.findIndex((rule) => rule.id === id);
  const found = rules[order];
  if (id !== undefined && id !== 'new' && !found) {
    return (
      <div className="p-4">
        <Trouble text="There is no such rule any more." onRetry={() => void navigate('/rules')} />
      </div>
    );
  }
  return (
    <Bench
      key={id ?? 'new'}
      begin={found ? draftOf(found, order) : newDraft(crypto.randomUUID(), search.get('from'))}
      example={search.get('example')}
      rules={rules}
      mailbox={mailbox.data}
    />
  );
}

interface BenchProps {
  begin: Draft;
  example: string | null;
  rules: Rule[];
  mailbox: NonNullable<ReturnType<typeof useMailbox>['data']>;
}

function Bench({ begin: opened, example, rules, mailbox }: BenchProps) {
  const [begin] = useState(opened);
  const [draft, setDraft] = useState(begin);
  const [counter, setCounter] = useState<Counter>('PICKED');
  const [narrow, setNarrow] = useState<'rule' | 'evidence'>('rule');
  const shown = useDeferredValue(draft);
  const asked = useMemo(() => ask(shown), [shown]);
  const evidence = useEvidence(asked, shown.order, counter);
  const isNew = !rules.some((rule) => rule.id === draft.id);
  const problem = evidence.error instanceof Problem ? evidence.error : undefined;
  const faults = problem?.status === 422 ? problem.places : [];
  return (
    <div className="flex h-full min-h-0 flex-col">
      <div className="flex border-b border-line min-[900px]:hidden" role="group" aria-label="What is shown">
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
          <RulePanel
            draft={draft}
            asked={asked}
            evidence={evidence.data}
            faults={faults}
            mailbox={mailbox}
            rules={rules.length + (isNew ? 1 : 0)}
            onChange={setDraft}
          />
        </div>
        <div className={`min-w-0 grow min-[900px]:block ${narrow === 'evidence' ? '' : 'hidden'}`}>
          <EvidencePanel
            evidence={evidence.data}
            asked={asked !== undefined}
            error={evidence.error}
            counter={counter}
            example={example === null ? undefined : Number(example)}
            onCounter={setCounter}
            onRetry={() => void evidence.refetch()}
          />
        </div>
      </div>
      <SaveBar draft={draft} begin={begin} isNew={isNew} picked={evidence.data?.counts.picked} />
    </div>
  );
}
