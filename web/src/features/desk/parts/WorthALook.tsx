import { Link } from 'react-router';
import { useReview, useRuleBook } from '../../rules';

const SHOWN = 4;

/** What the review found amiss with the rules; each opens in Rules with what can be done about it. */
export function WorthALook() {
  const book = useRuleBook();
  const findings = useReview(book.data?.version).data?.findings ?? [];
  const names = new Map((book.data?.document.rules ?? []).map((rule) => [rule.id, rule.name]));
  if (findings.length === 0) {
    return null;
  }
  return (
    <section aria-label="Worth a look">
      <h2 className="mb-1.5 font-bold">Worth a look</h2>
      <ul>
        {findings.slice(0, SHOWN).map((finding) => (
          <li key={finding.id} className="border-t border-line py-1.5">
            <Link className="font-semibold hover:underline" to={`/rules?rule=${finding.rule}`}>
              {names.get(finding.rule)}
            </Link>
            <span className="block text-sm text-ink2">{finding.cause.words}</span>
          </li>
        ))}
      </ul>
      {findings.length > SHOWN && (
        <Link className="text-sm font-semibold text-moss hover:underline" to="/rules">
          {findings.length - SHOWN} more in Rules
        </Link>
      )}
    </section>
  );
}
