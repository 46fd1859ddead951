import { useDeferredValue } from 'react';
import { counted } from '../../../lib/numbers';
import { useCompletions, type CompletionOf } from '../queries';

/** What the mail of the past offers for what is being typed, for an input to list. */
export function Completed({ id, of, typed }: { id: string; of: CompletionOf; typed: string }) {
  const found = useCompletions(of, useDeferredValue(typed));
  return (
    <datalist id={id}>
      {typed.trim().length > 1 &&
        found.data?.completions.map((one) => (
          <option key={one.value} value={one.value}>
            {counted(one.messages, 'message')}
          </option>
        ))}
    </datalist>
  );
}
