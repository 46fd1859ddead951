import { TextField } from '../../../ui/Field';
import type { FieldView } from '../model';

interface Props {
  /** Those that a message may have no value for. */
  fields: FieldView[];
  fallbacks: Record<string, string>;
  onChange: (fallbacks: Record<string, string>) => void;
}

/** What is written where a field has no value. */
export function Fallbacks({ fields, fallbacks, onChange }: Props) {
  if (fields.length === 0) {
    return null;
  }
  return (
    <fieldset className="mt-3">
      <legend className="text-sm font-semibold">If it is not known</legend>
      <div className="grid gap-2 min-[1200px]:grid-cols-2">
        {fields.map(({ key, name }) => (
          <TextField
            key={key}
            label={`instead of ${name}`}
            value={fallbacks[key] ?? ''}
            onChange={(e) => onChange({ ...fallbacks, [key]: e.target.value })}
          />
        ))}
      </div>
    </fieldset>
  );
}
