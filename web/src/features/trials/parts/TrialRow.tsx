import { inShort, standing, type Trial } from '../model';

interface Props {
  trial: Trial;
  chosen: boolean;
  onChoose: (trial: string) => void;
}

/** One trial: what must be, its subject, and what else must happen or what differs. */
export function TrialRow({ trial, chosen, onChoose }: Props) {
  const { word, differs } = standing(trial);
  return (
    <button
      type="button"
      aria-pressed={chosen}
      onClick={() => onChoose(trial.id)}
      className={`grid w-full grid-cols-[74px_minmax(0,1fr)] gap-x-2.5 border-b border-line px-3 py-1.5 text-left text-[13.5px] last:border-b-0 hover:bg-ground columns:grid-cols-[74px_minmax(0,1fr)_minmax(0,250px)] ${
        chosen ? 'shadow-[inset_3px_0_var(--color-moss)]' : ''
      } ${differs ? 'bg-clay-soft' : ''}`}
    >
      <span className={`font-semibold ${differs ? 'text-clay' : 'text-moss'}`}>{word}</span>
      <span className="truncate">
        <bdi>{trial.name}</bdi>
      </span>
      <span
        className={`truncate max-columns:col-start-2 ${differs ? 'font-semibold text-clay' : 'text-ink2'}`}
        title={inShort(trial)}
      >
        {inShort(trial)}
      </span>
    </button>
  );
}
