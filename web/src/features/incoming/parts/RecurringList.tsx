import { useNavigate } from 'react-router';
import type { Schemas } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { count, counted } from '../../../lib/numbers';
import { Bars } from '../../../ui/Bars';
import { Button } from '../../../ui/Button';
import { Empty, Trouble } from '../../../ui/States';
import { LookingThrough } from '../../mailbox';
import { useKinds } from '../queries';
import { whoInWords, whoMore } from '../who';
import { Pattern } from './Pattern';

const COLUMNS =
  'grid grid-cols-[minmax(0,1fr)_auto] gap-x-3 gap-y-0.5 items-center px-4 columns:grid-cols-[minmax(130px,210px)_minmax(0,1fr)_116px_52px_minmax(150px,200px)] columns:gap-3';

interface Props {
  onKind: (kind: string) => void;
  onOpen: (message: number) => void;
}

/** What keeps coming: one row a kind, the most frequent first. */
export function RecurringList({ onKind, onOpen }: Props) {
  const kinds = useKinds();
  const navigate = useNavigate();
  if (kinds.isPending) {
    return <LookingThrough />;
  }
  if (kinds.isError) {
    return (
      <div className="p-4">
        <Trouble text={problemText(kinds.error)} onRetry={() => void kinds.refetch()} />
      </div>
    );
  }
  if (kinds.data.kinds.length === 0) {
    return (
      <Empty>
        No recurring mail yet. A kind appears here after four similar messages on at least two days. Every
        message is listed under Messages.
      </Empty>
    );
  }
  return (
    <>
      <div className={`${COLUMNS} pb-1 text-[12.5px] text-ink2 max-columns:hidden`}>
        <span>who</span>
        <span>subject pattern</span>
        <span>by week</span>
        <span className="text-right">total</span>
        <span>rule</span>
      </div>
      <ul className="min-h-0 grow overflow-auto border-t border-line bg-sheet" aria-label="Recurring mail">
        {kinds.data.kinds.map((kind) => (
          <li key={kind.key} className={`${COLUMNS} min-h-[46px] border-b border-line py-1`}>
            <span className="min-w-0">
              <span className="block truncate font-semibold">{whoInWords(kind.who)}</span>
              <span className="block truncate text-[12.5px] text-ink2">{whoMore(kind.who)}</span>
            </span>
            <button
              type="button"
              className="min-w-0 text-left hover:underline max-columns:order-3 max-columns:col-span-2"
              title="Open this kind of mail"
              onClick={() => onKind(kind.key)}
            >
              <span className="block truncate">
                {kind.patterns[0] ? <Pattern pattern={kind.patterns[0]} /> : kind.example.subject}
              </span>
              <span className="block truncate text-[12.5px] text-ink2">{morePatterns(kind)}</span>
            </button>
            <span className="max-columns:hidden">
              <Bars values={kind.weeks} label={`by week, oldest first: ${kind.weeks.join(', ')}`} />
            </span>
            <span className="figures text-right font-semibold max-columns:order-2">
              {count(kind.messages)}
            </span>
            <TakenBy
              kind={kind}
              onRule={(rule) => void navigate(`/rules/${rule}`)}
              onAdd={() => onOpen(kind.example.id)}
              onStart={() => onKind(kind.key)}
            />
          </li>
        ))}
      </ul>
    </>
  );
}

function morePatterns(kind: Schemas['RecurringView']): string {
  const more = kind.patterns.length - 1 + kind.morePatterns;
  return more > 0 ? `and ${counted(more, 'other pattern')}` : '';
}

interface TakenProps {
  kind: Schemas['RecurringView'];
  onRule: (rule: string) => void;
  onAdd: () => void;
  onStart: () => void;
}

function TakenBy({ kind, onRule, onAdd, onStart }: TakenProps) {
  const first = kind.takenBy[0];
  if (first && first.messages * 2 > kind.messages) {
    return (
      <button
        type="button"
        className="min-w-0 text-left text-sm hover:underline max-columns:order-4 max-columns:col-span-2"
        onClick={() => onRule(first.rule)}
      >
        <span className="block truncate text-moss">{first.name}</span>
        <span className="figures block text-[12.5px] text-ink2">
          {first.messages === kind.messages ? 'all of them' : `${count(first.messages)} of them`}
          {kind.takenBy.length > 1 && `, ${counted(kind.takenBy.length - 1, 'rule')} more`}
        </span>
      </button>
    );
  }
  return (
    <span className="flex flex-wrap gap-1 max-columns:order-4 max-columns:col-span-2">
      <Button small onClick={onStart}>
        Start a rule
      </Button>
      {kind.nearly && (
        <Button small look="quiet" title={kind.nearly.name} onClick={onAdd}>
          <span className="max-w-36 truncate">add to “{kind.nearly.name}”</span>
        </Button>
      )}
      {first && (
        <span className="w-full truncate text-[12.5px] text-ink2">
          {count(first.messages)} by “{first.name}”
        </span>
      )}
    </span>
  );
}
