import type { FieldView } from '../model';

/** What can be put into the text, in words; it goes where the cursor stands. */
export function FieldChips({ fields, onInsert }: { fields: FieldView[]; onInsert: (key: string) => void }) {
  return (
    <div role="group" aria-label="Put in" className="mt-1.5 flex flex-wrap items-center gap-1">
      <span className="text-sm text-ink2">put in</span>
      {fields.map(({ key, words }) => (
        <button
          key={key}
          type="button"
          className="h-6 rounded bg-moss-soft px-1.5 text-[13px] hover:underline"
          onClick={() => onInsert(key)}
        >
          {words}
        </button>
      ))}
    </div>
  );
}
