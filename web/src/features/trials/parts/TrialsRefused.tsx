import { Link } from 'react-router';
import { problemText } from '../../../api/problem';
import { Button } from '../../../ui/Button';
import { trialsAgainst } from '../model';

interface Props {
  problem: Error;
  /** They may differ; it is recorded who said so. */
  onAnyway: () => void;
}

/** Rules that were not saved because trials differ, and the deliberate way past it. */
export function TrialsRefused({ problem, onAnyway }: Props) {
  return (
    <div
      role="alert"
      className="flex flex-wrap items-center gap-2 border-l-[3px] border-clay bg-clay-soft px-3 py-2"
    >
      <span className="min-w-[16rem] grow basis-0">
        {problemText(problem)}
        <span className="block text-sm">
          {trialsAgainst(problem)
            .slice(0, 3)
            .map((trial, i) => (
              <span key={trial.id}>
                {i > 0 && ' · '}
                <Link className="font-semibold underline" to={`/trials?trial=${trial.id}`}>
                  {trial.name}
                </Link>
              </span>
            ))}
        </span>
      </span>
      <Button small look="danger" onClick={onAnyway}>
        Switch on all the same
      </Button>
    </div>
  );
}
