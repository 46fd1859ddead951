import { Link } from 'react-router';
import type { Destination } from '../model';

/** The rules that send mail to an address, each to be opened. */
export function RuleLinks({ rules }: { rules: Destination['rules'] }) {
  return rules.map((rule, i) => (
    <span key={rule.id}>
      {i > 0 && ', '}
      <Link className="font-semibold text-moss hover:underline" to={`/rules/${rule.id}`}>
        {rule.name}
      </Link>
      {!rule.on && ' (paused)'}
    </span>
  ));
}
