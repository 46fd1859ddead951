import { useState, type ReactNode } from 'react';
import type { Schemas } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { counted } from '../../../lib/numbers';
import { Empty, Loading, Trouble } from '../../../ui/States';
import { useMailbox } from '../../mailbox';
import { UndoSheet, type UndoChoice } from '../../undo';
import { inTime } from '../model';
import { useAct } from '../queries';
import { undoChoices } from '../undoing';
import { ChangeRow } from './ChangeRow';
import { GroupRows } from './GroupRows';
import { SentSheet } from './SentSheet';

interface Props {
  /** Unknown while they are looked for. */
  records: Schemas['RecordView'][] | undefined;
  changes: Schemas['SavedChange'][];
  empty: string;
  /** What follows the last one. */
  more?: ReactNode;
}

/** Records as a table, one row for a message and a rule, with what a person can do about them. */
export function RecordTable({ records, changes, empty, more }: Props) {
  const act = useAct();
  const [sent, setSent] = useState<Schemas['StepView']>();
  const [undoing, setUndoing] = useState<UndoChoice[]>([]);
  const zone = useMailbox().data?.zone;
  const shown = records ?? [];
  const rows = inTime(shown, changes);
  return (
    <>
      {act.isError && (
        <div className="px-4 pb-2">
          <Trouble text={problemText(act.error)} />
        </div>
      )}
      <div
        className="min-h-0 grow overflow-auto border-t border-line bg-sheet"
        tabIndex={0}
        role="region"
        aria-label="The records"
      >
        {records === undefined && <Loading what="Loading the records" />}
        {records && rows.length === 0 && <Empty>{empty}</Empty>}
        {rows.length > 0 && (
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
              {rows.map((row) =>
                row.change ? (
                  <ChangeRow key={`${row.change.at} ${row.change.name}`} of={row.change} />
                ) : (
                  <GroupRows
                    key={`${row.group.message.id} ${row.group.rule} ${row.group.version}`}
                    group={row.group}
                    busy={act.isPending}
                    onAct={(step, chosen) => act.mutate({ step, act: chosen })}
                    onSent={setSent}
                    onUndo={(step) => setUndoing(undoChoices(row.group, step, zone))}
                  />
                ),
              )}
            </tbody>
          </table>
        )}
        {more && <div className="border-t border-line px-4 py-2">{more}</div>}
      </div>
      <UndoSheet choices={undoing} onClose={() => setUndoing([])} />
      <SentSheet step={sent} onClose={() => setSent(undefined)} />
    </>
  );
}
