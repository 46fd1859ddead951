import { Link } from 'react-router';
import { saidInWords, type Destination } from '../model';

/** Says of a rule that is on whom its mail waits for. */
export function WaitsFor({ destinations }: { destinations: Destination[] }) {
  return destinations.map((one) => (
    <p key={one.id} className="mt-2 rounded bg-clay-soft px-2 py-1 text-sm">
      On, but sends nothing to <b className="break-words">{one.address}</b> yet: {saidInWords(one)}.{' '}
      {one.state === 'DECLINED' || one.inside ? (
        'Choose another address.'
      ) : (
        <Link className="font-semibold text-moss" to="/address-book">
          Ask again, enter a code or vouch for it
        </Link>
      )}
    </p>
  ));
}
