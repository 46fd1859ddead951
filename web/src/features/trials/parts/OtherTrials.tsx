import type { Trial } from '../model';
import { TrialRow } from './TrialRow';

interface Props {
  trials: Trial[];
  chosen: string | undefined;
  onChoose: (trial: string) => void;
}

/** Trials of rules that are gone, or not saved yet. */
export function OtherTrials({ trials, chosen, onChoose }: Props) {
  if (trials.length === 0) {
    return null;
  }
  return (
    <section
      aria-label="Of rules that are gone, or not saved yet"
      className="overflow-hidden rounded-md border border-line bg-sheet"
    >
      <h2 className="border-b border-line px-3 py-1.5 font-semibold">
        Of rules that are gone, or not saved yet
      </h2>
      {trials.map((trial) => (
        <TrialRow key={trial.id} trial={trial} chosen={trial.id === chosen} onChoose={onChoose} />
      ))}
    </section>
  );
}
