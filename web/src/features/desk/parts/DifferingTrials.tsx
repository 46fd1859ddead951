import { Link } from 'react-router';
import { counted } from '../../../lib/numbers';
import { useTrialCounts } from '../../trials';
import { NeedRow } from './NeedRow';

/** Trials that do not come out as they must; rules that are on stay on. */
export function DifferingTrials() {
  const differing = useTrialCounts().data?.differing ?? 0;
  if (differing === 0) {
    return null;
  }
  return (
    <NeedRow
      of="HELD"
      title={
        <Link className="hover:underline" to="/trials">
          {counted(differing, 'trial')} {differing === 1 ? 'differs' : 'differ'}
        </Link>
      }
    >
      With the rules of now, {differing === 1 ? 'its message is' : 'their messages are'} not handled as{' '}
      {differing === 1 ? 'it' : 'they'} must be. Rules that are on stay on.
    </NeedRow>
  );
}
