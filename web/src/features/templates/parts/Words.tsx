import { lazy, Suspense, useState } from 'react';
import { Button } from '../../../ui/Button';
import { Loading } from '../../../ui/States';
import { asPlain, asRich, type FieldView, type TemplateText } from '../model';
import { FieldChips } from './FieldChips';
import { Fielded } from './Fielded';
import type { FieldHand } from './FieldText';

/** The editor is large, and most templates are plain text. */
const RichEditor = lazy(() => import('./RichEditor'));

interface Props {
  written: TemplateText;
  fields: FieldView[];
  onHand: (hand: FieldHand) => void;
  onPutIn: (key: string) => void;
  onChange: (written: TemplateText) => void;
}

/** The words of a template: plain text, and the same as rich text where somebody wants it. */
export function Words({ written, fields, onHand, onPutIn, onChange }: Props) {
  const [form, setForm] = useState<'plain' | 'rich'>('plain');
  const follows = written.text.trim() === '' || written.text.trim() === asPlain(written.rich);
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
          aria-label="Text form"
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
            {form === 'rich' && follows && (
              <span className="text-sm text-ink2">the plain text follows it by itself</span>
            )}
            {!(form === 'rich' && follows) && (
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
                {form === 'rich' ? 'Make plain text from this' : 'Make rich text from this'}
              </Button>
            )}
            <Button
              small
              look="quiet"
              onClick={() => {
                setForm('plain');
                onChange({ ...written, rich: '' });
              }}
            >
              Remove rich text
            </Button>
          </>
        )}
      </div>
      {form === 'plain' ? (
        <Fielded
          label="Text"
          hideLabel
          lines={11}
          first
          text={written.text}
          fields={fields}
          onHand={onHand}
          onChange={(text) => onChange({ ...written, text })}
        />
      ) : (
        <Suspense fallback={<Loading what="Loading the editor" />}>
          <RichEditor
            rich={written.rich}
            fields={fields}
            onHand={onHand}
            onChange={(rich) => onChange({ ...written, rich, text: follows ? asPlain(rich) : written.text })}
          />
        </Suspense>
      )}
      <FieldChips fields={fields} onInsert={onPutIn} />
    </div>
  );
}
