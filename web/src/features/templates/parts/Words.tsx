import { lazy, Suspense, useRef, useState } from 'react';
import { Button } from '../../../ui/Button';
import { TextArea } from '../../../ui/Field';
import { Loading } from '../../../ui/States';
import { asPlain, asRich, withField, type FieldView, type TemplateText } from '../model';
import { FieldChips } from './FieldChips';
import type { RichHandle } from './RichEditor';

/** The editor is large, and most templates are plain text. */
const RichEditor = lazy(() => import('./RichEditor'));

interface Props {
  written: TemplateText;
  fields: FieldView[];
  onChange: (written: TemplateText) => void;
}

/** The words of a template: plain text, and the same as rich text where somebody wants it. */
export function Words({ written, fields, onChange }: Props) {
  const [form, setForm] = useState<'plain' | 'rich'>('plain');
  const text = useRef<HTMLTextAreaElement>(null);
  const rich = useRef<RichHandle>(null);
  const insert = (key: string) => {
    if (form === 'rich') {
      rich.current?.insert(key);
      return;
    }
    const box = text.current;
    const put = withField(written.text, box?.selectionStart ?? written.text.length, key);
    onChange({ ...written, text: put.text });
    requestAnimationFrame(() => {
      box?.focus();
      box?.setSelectionRange(put.cursor, put.cursor);
    });
  };
  const begin = () => {
    if (written.rich === '') {
      onChange({ ...written, rich: asRich(written.text) });
    }
    setForm('rich');
  };
  return (
    <div className="mt-2.5">
      <div className="mb-1 flex flex-wrap items-center gap-2">
        <div
          role="group"
          aria-label="Which form"
          className="flex overflow-hidden rounded border border-line2 bg-sheet text-sm"
        >
          {(['plain', 'rich'] as const).map((one) => (
            <button
              key={one}
              type="button"
              aria-pressed={form === one}
              className={`px-3 py-0.5 ${form === one ? 'bg-ink font-semibold text-sheet' : ''}`}
              onClick={() => (one === 'rich' ? begin() : setForm('plain'))}
            >
              {one === 'plain' ? 'Plain text' : written.rich === '' ? 'Rich text: none' : 'Rich text'}
            </button>
          ))}
        </div>
        {written.rich !== '' && (
          <>
            <Button
              small
              look="quiet"
              onClick={() =>
                onChange(
                  form === 'rich'
                    ? { ...written, text: asPlain(written.rich) }
                    : { ...written, rich: asRich(written.text) },
                )
              }
            >
              {form === 'rich' ? 'make the plain text from this' : 'make the rich text from this'}
            </Button>
            <Button
              small
              look="quiet"
              onClick={() => {
                setForm('plain');
                onChange({ ...written, rich: '' });
              }}
            >
              without rich text
            </Button>
          </>
        )}
      </div>
      {form === 'plain' ? (
        <TextArea
          ref={text}
          label="Text"
          hideLabel
          rows={11}
          value={written.text}
          onChange={(e) => onChange({ ...written, text: e.target.value })}
        />
      ) : (
        <Suspense fallback={<Loading what="Opening the editor" />}>
          <RichEditor
            ref={rich}
            rich={written.rich}
            fields={fields}
            onChange={(changed) => onChange({ ...written, rich: changed })}
          />
        </Suspense>
      )}
      <FieldChips fields={fields} onInsert={insert} />
    </div>
  );
}
