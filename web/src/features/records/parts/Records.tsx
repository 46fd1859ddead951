import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import type { Schemas } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { counted } from '../../../lib/numbers';
import { Button } from '../../../ui/Button';
import { Empty, Loading, Trouble } from '../../../ui/States';
import { useMailbox } from '../../mailbox';
import { UndoSheet, type UndoChoice } from '../../undo';
import { grouped } from '../model';
import { undoChoices } from '../undoing';
import { GroupRows } from './GroupRows';
import { SentSheet } from './SentSheet';
import { Waiting } from './waiting/Waiting';
import { useAct, useBroughtBack, useRecords, useUnanswered, type State } from '../queries';

const VIEWS: { key: string; text: string; states: State[] }[] = [
  { key: 'all', text: 'All', states: [] },
  { key: 'waiting', text: 'Waiting', states: [] },
  { key: 'done', text: 'Done', states: ['SENT'] },
  { key: 'needs', text: 'Needs you', states: ['HELD', 'FAILED', 'UNCERTAIN'] },
  { key: 'unanswered', text: 'Not answered', states: [] },
  { key: 'brought-back', text: 'Brought back', states: [] },
  { key: 'back', text: 'Held or withheld', states: ['WITHHELD', 'DISCARDED'] },
  { key: 'undone', text: 'Undone', states: ['UNDONE'] },
];

/** As far back as messages are explained. */
const DAYS_KEPT = 180;

export function Records() {
  const [search, setSearch] = useSearchParams();
  const navigate = useNavigate();
  const view = VIEWS.find((one) => one.key === search.get('view')) ?? VIEWS[0];
  const rule = search.get('rule');
  return (
    <section data-region aria-label="Records" className="flex h-full min-h-0 flex-col">
      <div className="flex flex-wrap items-center gap-3 px-4 pt-3.5 pb-2.5">
        <h1 className="text-lg font-bold">Records</h1>
        <div
          role="group"
          aria-label="Which records"
          className="flex max-w-full flex-wrap overflow-hidden rounded border border-line2 bg-sheet"
        >
          {VIEWS.map((one) => (
            <button
              key={one.key}
              type="button"
              aria-pressed={one === view}
              className={`px-3 py-1 text-sm ${one === view ? 'bg-ink font-semibold text-sheet' : ''}`}
              onClick={() => setSearch({ view: one.key })}
            >
              {one.text}
            </button>
          ))}
        </div>
        <span className="text-sm text-ink2">
          {view?.key === 'waiting'
            ? 'what is to leave, the longest waiting first'
            : view?.key === 'brought-back'
              ? 'what nobody dealt with, newest first'
              : 'everything the rules did, newest first'}
        </span>
        <span className="grow" />
        <Button small onClick={() => void navigate('/records/catch-ups')}>
          Catch up …
        </Button>
        {rule !== null && (
          <Button small onClick={() => setSearch({})}>
            one rule only · Show all
          </Button>
        )}
      </div>
      {view?.key === 'waiting' ? (
        <Waiting />
      ) : (
        <Table view={view?.key ?? 'all'} states={view?.states ?? []} rule={rule} />
      )}
    </section>
  );
}

interface TableProps {
  view: string;
  states: State[];
  rule: string | null;
}

function Table({ view, states, rule }: TableProps) {
  const recorded = useRecords(states);
  const unanswered = useUnanswered(DAYS_KEPT);
  const broughtBack = useBroughtBack(DAYS_KEPT);
  const records = view === 'unanswered' ? unanswered : view === 'brought-back' ? broughtBack : recorded;
  const act = useAct();
  const [sent, setSent] = useState<Schemas['StepView']>();
  const [undoing, setUndoing] = useState<UndoChoice[]>([]);
  const zone = useMailbox().data?.zone;
  const shown = (records.data ?? []).filter((r) => rule === null || r.step.rule === rule);
  return (
    <>
      {(records.isError || act.isError) && (
        <div className="px-4 pb-2">
          <Trouble text={problemText(records.error ?? act.error)} onRetry={() => void records.refetch()} />
        </div>
      )}
      <div
        className="min-h-0 grow overflow-auto border-t border-line bg-sheet"
        tabIndex={0}
        role="region"
        aria-label="The records"
      >
        {records.isPending && <Loading what="Loading the records" />}
        {records.data && shown.length === 0 && (
          <Empty>
            {view === 'all'
              ? 'Nothing has been done yet. When a rule acts on a new message, it appears here with the reason.'
              : view === 'unanswered'
                ? 'No message left the inbox without the answer of its rule, or somebody has seen to each.'
                : view === 'brought-back'
                  ? 'No message came back because nobody dealt with it, or somebody has seen to each.'
                  : 'Nothing here.'}
          </Empty>
        )}
        {shown.length > 0 && (
          <table className="w-full table-fixed text-left max-columns:block">
            <caption className="sr-only">{counted(shown.length, 'record')}</caption>
            <thead className="text-[12.5px] text-ink2 max-columns:sr-only">
              <tr>
                <th className="w-[116px] py-1 pl-4 font-normal">when</th>
                <th className="w-[25%] font-normal">message</th>
                <th className="w-[19%] font-normal">rule</th>
                <th className="font-normal">what was done, and why</th>
                <th className="w-[124px] font-normal min-[1200px]:w-[240px]">
                  <span className="sr-only">what you can do</span>
                </th>
              </tr>
            </thead>
            <tbody className="max-columns:block">
              {grouped(shown).map((group) => (
                <GroupRows
                  key={`${group.message.id} ${group.rule} ${group.version}`}
                  group={group}
                  busy={act.isPending}
                  onAct={(step, chosen) => act.mutate({ step, act: chosen })}
                  onSent={setSent}
                  onUndo={(step) => setUndoing(undoChoices(group, step, zone))}
                />
              ))}
            </tbody>
          </table>
        )}
      </div>
      <UndoSheet choices={undoing} onClose={() => setUndoing([])} />
      <SentSheet step={sent} onClose={() => setSent(undefined)} />
    </>
  );
}
