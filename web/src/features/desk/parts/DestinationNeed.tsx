import { Link } from 'react-router';
import type { Schemas } from '../../../api/client';
import { counted } from '../../../lib/numbers';
import { RuleLinks, saidInWords } from '../../destinations';
import { NeedRow } from './NeedRow';
import { ToWaiting } from './ToWaiting';

/** An address outside that rules wait for: they are on, and send it nothing yet. */
export function DestinationNeed({ of }: { of: Schemas['DestinationView'] }) {
  return (
    <NeedRow
      of="HELD"
      acts={of.waiting > 0 && <ToWaiting>Look at {counted(of.waiting, 'held step')}</ToWaiting>}
      title={
        <Link className="hover:underline" to="/address-book">
          {of.address}
        </Link>
      }
    >
      {saidInWords(of)}. On, but sends nothing to it yet:{' '}
      <RuleLinks rules={of.rules.filter((rule) => rule.on)} />
    </NeedRow>
  );
}
