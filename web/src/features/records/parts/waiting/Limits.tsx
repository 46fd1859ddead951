import { useLimits } from '../../queries';
import { heldInWords, limitsInWords } from '../../limits';

/** How much leaves within an hour before a person is asked, and what that would have meant so far. */
export function Limits() {
  const limits = useLimits();
  return (
    <p className="border-t border-line bg-ground px-4 py-2 text-sm text-ink2">
      {limits.data && `${limitsInWords(limits.data)} ${heldInWords(limits.data)}`}
    </p>
  );
}
