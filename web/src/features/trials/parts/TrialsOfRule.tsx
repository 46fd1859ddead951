import { Link } from 'react-router';
import { counted } from '../../../lib/numbers';
import { squaresOf } from '../model';
import { useTrials } from '../queries';
import { Squares } from './Squares';

/** What the trials of the rule show, as it is saved. */
export function TrialsOfRule({ rule }: { rule: string }) {
  const of = useTrials().data?.rules.find((one) => one.rule === rule);
  if (!of) {
    return null;
  }
  const squares = squaresOf(of);
  const differ = of.trials.filter((trial) => !trial.holds).length;
  const missing = squares.filter((one) => one === 'missing').length;
  return (
    <Link className="flex items-center gap-1.5 text-sm text-moss hover:underline" to={`/trials?rule=${rule}`}>
      <Squares of={squares} />
      {differ > 0
        ? `${counted(differ, 'trial')} ${differ === 1 ? 'differs' : 'differ'}`
        : missing > 0
          ? `${counted(missing, 'trial')} missing`
          : 'all trials hold'}
    </Link>
  );
}
