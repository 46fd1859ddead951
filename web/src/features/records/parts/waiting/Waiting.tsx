import { useState } from 'react';
import { problemText } from '../../../../api/problem';
import { counted } from '../../../../lib/numbers';
import { Question } from '../../../../ui/Question';
import { Empty, Loading, Trouble } from '../../../../ui/States';
import { useDone } from '../../../mailbox';
import { useAct, useActOnSeveral, useAllWaiting, type Act } from '../../queries';
import { lookedAt, waitingGroups, type WaitingGroup } from '../../waiting';
import { CameIn } from './CameIn';
import { DailyMail } from './DailyMail';
import { GoesOut } from './GoesOut';
import { Limits } from './Limits';
import { WaitingList } from './WaitingList';

interface Asked {
  act: Act;
  group: WaitingGroup;
}

/** What is to leave and waits: the original beside what would go out. */
export function Waiting() {
  const waiting = useAllWaiting();
  const act = useAct();
  const several = useActOnSeveral();
  const { tell } = useDone();
  const [chosen, setChosen] = useState<{ id: string; at: number }>();
  const [asked, setAsked] = useState<Asked>();
  const groups = waitingGroups(waiting.data ?? []);
  const all = groups.flatMap((group) => group.items);
  const looked = lookedAt(groups, chosen);
  const choose = (id: string) => setChosen({ id, at: all.findIndex(({ step }) => step.id === id) });
  const failed = waiting.error ?? act.error ?? several.error;
  const doAll = ({ act: one, group }: Asked) =>
    several.mutate(
      { act: one, steps: group.items.map(({ step }) => step.id) },
      {
        onSuccess: ({ done, left }) =>
          tell({
            text: `${counted(done, 'message')} ${one === 'DISCARD' ? 'discarded' : 'on the way'}${left > 0 ? `, ${left} had been dealt with before` : ''}.`,
          }),
      },
    );
  if (waiting.isPending) {
    return <Loading what="Loading what waits" />;
  }
  return (
    <>
      {failed !== null && (
        <div className="px-4 py-2">
          <Trouble text={problemText(failed)} onRetry={() => void waiting.refetch()} />
        </div>
      )}
      {!waiting.isError && all.length === 0 && (
        <Empty>
          Nothing waits. What a rule sends on approval, later, or to an address that has not agreed yet, waits
          here.
        </Empty>
      )}
      {looked && (
        <div className="flex min-h-0 grow flex-col overflow-auto columns:flex-row columns:overflow-hidden">
          <nav
            aria-label="What waits"
            className="max-h-[38vh] shrink-0 overflow-auto border-line pb-2 max-columns:border-b columns:max-h-none columns:w-[300px] columns:border-r"
          >
            <WaitingList
              groups={groups}
              chosen={looked.step.id}
              onChoose={({ step }) => choose(step.id)}
              onSendAll={(group) => setAsked({ act: 'SEND_NOW', group })}
              onDiscardAll={(group) => setAsked({ act: 'DISCARD', group })}
            />
          </nav>
          <div
            className="grid min-w-0 grow content-start bg-sheet columns:grid-cols-2 columns:content-stretch columns:divide-x columns:divide-line columns:overflow-auto"
            role="region"
            tabIndex={0}
            aria-label="The one looked at"
          >
            <CameIn key={`in ${looked.step.id}`} of={looked} />
            <GoesOut
              key={looked.step.id}
              of={looked}
              busy={act.isPending}
              onAct={(one) => {
                choose(looked.step.id);
                act.mutate({ step: looked.step.id, act: one });
              }}
            />
          </div>
        </div>
      )}
      <Limits />
      <DailyMail />
      <Question
        open={asked !== undefined}
        title={
          asked ? `${asked.act === 'DISCARD' ? 'Discard' : 'Send'} all ${asked.group.items.length}?` : ''
        }
        yes={asked?.act === 'DISCARD' ? 'Discard them' : 'Send them'}
        onNo={() => setAsked(undefined)}
        onYes={() => asked && doAll(asked)}
      >
        {asked?.act === 'DISCARD'
          ? 'None of them goes out. The messages they are about stay where they are.'
          : 'You have not looked at each of them. What goes out can’t be called back.'}
      </Question>
    </>
  );
}
