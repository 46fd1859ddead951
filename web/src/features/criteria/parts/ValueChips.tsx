import { useId, useState } from 'react';
import type { Schemas } from '../../../api/client';
import { count } from '../../../lib/numbers';
import { pastedValues } from '../model';
import type { CompletionOf } from '../queries';
import { Completed } from './Completed';

interface Props {
  label: string;
  values: string[];
  /** One for each value, once the evidence is there. */
  figures?: Schemas['ValueFigures'][];
  typing: string;
  isWords: boolean;
  /** What past mail completes; nothing when left out. */
  completes?: CompletionOf;
  hint: string;
  /** Why something can’t be a value here. */
  fault?: (value: string) => string | undefined;
  onTyping: (text: string) => void;
  /** What can’t be a value stays in the field. */
  onAdd: (values: string[], left: string) => void;
  onRemove: (indexes: number[]) => void;
}

/** Values as chips in one field: typed or pasted, each with how many messages it takes. */
export function ValueChips(props: Props) {
  const { values, figures, typing } = props;
  const [spoken, setSpoken] = useState('');
  const list = useId();
  const [refused, setRefused] = useState<string>();
  const add = (several: string[]) => {
    const bad = several.filter((value) => props.fault?.(value) !== undefined);
    const good = several.filter((value) => !bad.includes(value));
    setRefused(bad[0] === undefined ? undefined : props.fault?.(bad[0]));
    if (good.length > 0) {
      props.onAdd(good, bad.join(', '));
      setSpoken(good.length === 1 ? `${good[0]} added` : `${good.length} values added`);
    }
  };
  const commit = () => add(pastedValues(typing, props.isWords));
  const covered = values.filter((_, i) => figures?.[i]?.coveredBy !== undefined).length;
  return (
    <div className="mt-[7px]">
      <div className="flex flex-wrap gap-1.5">
        {values.map((value, i) => {
          const figure = figures?.[i];
          const isCovered = figure?.coveredBy !== undefined;
          return (
            <span
              key={value}
              className={`inline-flex h-[26px] max-w-full items-center gap-1 rounded pr-0.5 pl-1.5 ${isCovered ? 'bg-ground text-ink2' : 'bg-moss-soft'}`}
            >
              <span className="truncate">{value}</span>
              {figure && (
                <span className={`figures text-xs font-semibold ${isCovered ? '' : 'text-moss'}`}>
                  {isCovered ? 'covered' : count(figure.matches)}
                </span>
              )}
              <button
                type="button"
                aria-label={`Remove ${value}`}
                className="rounded px-0.5 text-ink2 hover:text-ink"
                onClick={() => props.onRemove([i])}
              >
                ×
              </button>
            </span>
          );
        })}
        <input
          aria-label={props.label}
          list={props.completes ? list : undefined}
          autoComplete="off"
          value={typing}
          placeholder={props.hint}
          className="h-[26px] min-w-40 grow rounded border border-dashed border-line2 bg-transparent px-2"
          aria-invalid={refused !== undefined}
          onChange={(e) => {
            setRefused(undefined);
            props.onTyping(e.target.value);
          }}
          onBlur={commit}
          onKeyDown={(e) => {
            if (e.key === 'Enter') {
              e.preventDefault();
              commit();
            } else if (e.key === 'Backspace' && typing === '' && values.length > 0) {
              props.onRemove([values.length - 1]);
            }
          }}
          onPaste={(e) => {
            const several = pastedValues(e.clipboardData.getData('text'), props.isWords);
            if (several.length > 1) {
              e.preventDefault();
              add(several);
            }
          }}
        />
      </div>
      {refused && (
        <p role="alert" className="mt-1 text-sm text-clay">
          {refused}
        </p>
      )}
      {props.completes && <Completed id={list} of={props.completes} typed={typing} />}
      {covered > 0 && (
        <button
          type="button"
          className="mt-1.5 text-sm font-semibold text-moss"
          onClick={() =>
            props.onRemove(values.map((_, i) => i).filter((i) => figures?.[i]?.coveredBy !== undefined))
          }
        >
          remove the {covered} that other values cover
        </button>
      )}
      <span aria-live="polite" className="sr-only">
        {spoken}
      </span>
    </div>
  );
}
