export function RemoveButton({ onRemove }: { onRemove: () => void }) {
  return (
    <button
      type="button"
      aria-label="Remove this criterion"
      className="absolute top-1 right-1 rounded px-1 text-ink2 hover:text-ink"
      onClick={onRemove}
    >
      ×
    </button>
  );
}
