import { useState } from 'react';
import type { FieldView } from '../model';

const FIRST = 6;

/** What can be put into the text, in words; it goes where the cursor stands. */
export function FieldChips({ fields, onInsert }: { fields: FieldView[]; onInsert: (key: string) => void }) {
  const [all, setAll] = useState(false);
  return (
    <div role="group" aria-label="Put in" className="mt-1.5 flex flex-wrap items-center gap-1">
      <span className="text-sm text-ink2">put in</span>
      {fields.slice(0, all ? fields.length : FIRST).map(({ key, words }) => (
        <button
          key={key}
          type="button"
          className="h-6 rounded bg-moss-soft px-1.5 text-[13px] hover:underline"
          onClick={() => onInsert(key)}
        >
          {words}
        </button>
      ))}
      {!all && fields.length > FIRST && (
        <button
          type="button"
          className="h-6 px-1.5 text-[13px] font-semibold text-moss hover:underline"
          onClick={() => setAll(true)}
        >
          more …
        </button>
      )}
    </div>
  );
}
