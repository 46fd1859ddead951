import { useState } from 'react';
import type { FieldView } from '../model';

const FIRST = 6;

/** Fields that can be inserted at the cursor. */
export function FieldChips({ fields, onInsert }: { fields: FieldView[]; onInsert: (key: string) => void }) {
  const [all, setAll] = useState(false);
  return (
    <div role="group" aria-label="Insert" className="mt-1.5 flex flex-wrap items-center gap-1">
      <span className="text-sm text-ink2">insert</span>
      {fields.slice(0, all ? fields.length : FIRST).map(({ key, name }) => (
        <button
          key={key}
          type="button"
          className="h-6 rounded bg-moss-soft px-1.5 text-[13px] hover:underline"
          onClick={() => onInsert(key)}
        >
          {name}
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
