import { useState } from 'react';
import { problemText } from '../../../api/problem';
import type { Schemas } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { Sheet } from '../../../ui/Sheet';
import { Loading, Trouble } from '../../../ui/States';
import { loopOf } from '../model';
import { useLoops } from '../queries';
import { Messages } from './Messages';

interface Props {
  problem: Error;
  /** The rules that were refused. */
  document: Schemas['RuleBook'];
  /** What leads out of it was chosen: the rules with that done. */
  onRemedy: (mended: Schemas['RuleBook']) => void;
}

/** Rules that were not saved because mail would go round without end: the messages, and a way out. */
export function LoopRefused({ problem, document, onRemedy }: Props) {
  const rule = loopOf(problem);
  const loops = useLoops(document);
  const [open, setOpen] = useState(false);
  const tried = loops.data?.rules.find((one) => one.rule === rule);
  const remedy = tried?.finding;
  return (
    <div
      role="alert"
      className="flex flex-wrap items-center gap-2 border-l-[3px] border-clay bg-clay-soft px-3 py-2"
    >
      <span className="min-w-[16rem] grow basis-0">{problemText(problem)}</span>
      <Button small look="danger" onClick={() => setOpen(true)}>
        Show the messages
      </Button>
      {remedy?.remedy && remedy.document && (
        <Button small look="danger" className="max-w-full" onClick={() => onRemedy(remedy.document!)}>
          <span className="truncate">{remedy.remedy.words}</span>
        </Button>
      )}
      <Sheet title="The messages, played through" open={open} onClose={() => setOpen(false)}>
        {loops.isPending && <Loading what="Playing it through" />}
        {loops.isError && <Trouble text={problemText(loops.error)} onRetry={() => void loops.refetch()} />}
        {tried && <Messages tried={tried} />}
      </Sheet>
    </div>
  );
}
