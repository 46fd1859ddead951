import { useId, useState } from 'react';
import { tagColour } from '../../../../lib/flags';
import type { Step } from '../../model';

type MarkOf = Extract<Step, { do: 'mark' }>;

interface Props {
  step: MarkOf;
  tagsInUse: string[];
  onChange: (step: Step) => void;
}

type Way = 'set' | 'remove';

/** Marks that mail programs know (RFC 9051, RFC 8457). */
const MARKS = [
  { mark: '\\Seen', text: 'read' },
  { mark: '\\Flagged', text: 'flagged' },
  { mark: '$Important', text: 'important' },
] as const;

/** Marks that are set on a message or removed from it, and tags, each with its own colour. */
export function MarkStep({ step, tagsInUse, onChange }: Props) {
  const remove = step.remove ?? [];
  const tags = (step.tags ?? []).filter((tag) => tag !== '$Important');
  const has = (mark: string, way: Way) =>
    way === 'remove'
      ? remove.includes(mark)
      : ([...step.flags, ...(step.tags ?? [])] as string[]).includes(mark);
  const toggle = (mark: string, way: Way) => {
    const on = has(mark, way);
    const without = {
      ...step,
      flags: step.flags.filter((flag) => flag !== mark),
      tags: (step.tags ?? []).filter((tag) => tag !== mark),
      remove: remove.filter((one) => one !== mark),
    };
    if (on) {
      onChange(without);
    } else if (way === 'remove') {
      onChange({ ...without, remove: [...without.remove, mark] });
    } else if (mark.startsWith('\\')) {
      onChange({ ...without, flags: [...without.flags, mark as MarkOf['flags'][number]] });
    } else {
      onChange({ ...without, tags: [...without.tags, mark] });
    }
  };
  return (
    <div className="mt-1.5 grid gap-1.5">
      {(['set', 'remove'] as const).map((way) => (
        <div
          key={way}
          role="group"
          aria-label={`${way} marks`}
          className="flex flex-wrap items-center gap-1.5"
        >
          <span className="w-14 text-sm text-ink2">{way}</span>
          {MARKS.map(({ mark, text }) => (
            <button
              key={mark}
              type="button"
              aria-pressed={has(mark, way)}
              className={`h-[26px] rounded px-2 ${has(mark, way) ? 'bg-moss-soft font-semibold' : 'bg-ground text-ink2'}`}
              onClick={() => toggle(mark, way)}
            >
              {text}
            </button>
          ))}
        </div>
      ))}
      <Tags
        label="tags to set"
        tags={tags}
        tagsInUse={tagsInUse}
        onChange={(now) =>
          onChange({ ...step, tags: [...now, ...(has('$Important', 'set') ? ['$Important'] : [])] })
        }
      />
      <Tags
        label="tags to remove"
        tags={remove.filter((mark) => !MARKS.some((known) => known.mark === mark))}
        tagsInUse={tagsInUse}
        onChange={(now) =>
          onChange({
            ...step,
            remove: [...remove.filter((mark) => MARKS.some((known) => known.mark === mark)), ...now],
          })
        }
      />
    </div>
  );
}

/** Mail servers keep tags without spaces (RFC 9051 §2.3.2). */
function asTags(typed: string): string[] {
  return typed
    .split(',')
    .map((tag) => tag.trim().replace(/\s+/g, '-'))
    .filter(Boolean);
}

interface TagsProps {
  label: string;
  tags: string[];
  tagsInUse: string[];
  onChange: (tags: string[]) => void;
}

function Tags({ label, tags, tagsInUse, onChange }: TagsProps) {
  const list = useId();
  const [typed, setTyped] = useState(tags.join(', '));
  return (
    <div className="flex min-w-0 flex-wrap items-center gap-1.5">
      <label className="flex min-w-0 grow items-center gap-1.5 text-sm text-ink2">
        {label}
        <input
          className="h-7 min-w-0 grow rounded border border-line2 bg-sheet px-1.5 text-ink"
          placeholder="separated by commas"
          list={list}
          value={typed}
          onChange={(e) => {
            setTyped(e.target.value);
            onChange(asTags(e.target.value));
          }}
        />
      </label>
      <datalist id={list}>
        {tagsInUse.map((tag) => (
          <option key={tag} value={tag} />
        ))}
      </datalist>
      {tags.map((tag) => (
        <span key={tag} className={`rounded border-l-4 bg-ground px-1.5 text-sm ${tagColour(tag)}`}>
          {tag}
        </span>
      ))}
    </div>
  );
}
