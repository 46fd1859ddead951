import { memo, useRef, type KeyboardEvent } from 'react';
import { count } from '../../../lib/numbers';
import { Glyph } from '../../../ui/glyphs';
import { Toggle } from '../../../ui/Toggle';
import type { RowActs } from '../acts';
import { happenings, type Rule } from '../model';
import { stateInWords, type Time } from '../state';
import { Squares, squaresOf, type RuleTrials } from '../../trials';

interface Props {
  rule: Rule;
  order: number;
  sentence: string;
  picked: number | undefined;
  selected: boolean;
  findings: number;
  /** Addresses outside that have not agreed; empty for none. */
  waits: string;
  /** Unknown until they were run. */
  trials: RuleTrials | undefined;
  /** As 2026-11-26. */
  today: string;
  /** Of a rule with a schedule. */
  time: Time | undefined;
  acts: RowActs;
}

export const RuleRow = memo(function RuleRow(props: Props) {
  const { rule, order, selected, acts } = props;
  const row = useRef<HTMLDivElement>(null);
  const onKey = (event: KeyboardEvent) => {
    if (event.target !== row.current) {
      return;
    }
    const act: Record<string, () => void> = {
      ' ': () => acts.toggle(rule, !rule.on),
      Enter: () => acts.open(rule),
      ArrowUp: () => (event.altKey ? acts.move(rule, -1) : focusSibling(row.current, 'previous')),
      ArrowDown: () => (event.altKey ? acts.move(rule, 1) : focusSibling(row.current, 'next')),
    };
    const found = act[event.key];
    if (found) {
      event.preventDefault();
      found();
    }
  };
  return (
    <div
      ref={row}
      role="row"
      data-rule={rule.id}
      aria-selected={selected}
      aria-label={`${order}, ${rule.name}, ${rule.on ? 'on' : 'paused'}`}
      tabIndex={0}
      onFocus={() => acts.select(rule)}
      onClick={() => acts.select(rule)}
      onDoubleClick={() => acts.open(rule)}
      onKeyDown={onKey}
      draggable
      onDragStart={(e) => e.dataTransfer.setData('application/x-jubek-rule', rule.id)}
      onDragOver={(e) => e.preventDefault()}
      onDrop={(e) => {
        e.preventDefault();
        acts.dropped(e.dataTransfer.getData('application/x-jubek-rule'), rule);
      }}
      className={`grid h-[52px] [contain-intrinsic-height:52px] [content-visibility:auto] cursor-default grid-cols-[18px_minmax(0,1fr)_36px_44px] items-center gap-2 columns:grid-cols-[26px_minmax(0,1fr)_64px_56px_148px] columns:gap-2.5 border-b border-line px-2.5 ${
        selected ? 'rounded-md border-transparent bg-sheet ring-[1.5px] ring-moss' : ''
      }`}
    >
      <span role="gridcell" className="font-semibold text-ink2">
        {order}
      </span>
      <span role="gridcell" className="min-w-0">
        <span className="block truncate font-semibold">
          {rule.name}
          {props.trials && props.trials.trials.length > 0 && (
            <span className="ml-2">
              <Squares of={squaresOf(props.trials)} />
            </span>
          )}
          {props.findings > 0 && (
            <span className="ml-2 rounded border border-dashed border-line2 px-1 text-[12.5px] font-normal text-ink2">
              {props.findings === 1 ? 'worth a look' : `${props.findings} worth a look`}
            </span>
          )}
        </span>
        <span className="block truncate text-sm text-ink2">
          {props.waits !== '' && (
            <span className="mr-1.5 text-clay">sends nothing yet: waiting for {props.waits}</span>
          )}
          {props.sentence}
        </span>
      </span>
      <span role="gridcell" className="flex gap-1 max-columns:hidden">
        {happenings(rule).map((kind) => (
          <Glyph key={kind} of={kind} />
        ))}
      </span>
      <span role="gridcell" className="figures text-right font-semibold">
        {props.picked === undefined ? '' : count(props.picked)}
      </span>
      <span role="gridcell" className="flex items-center gap-2 text-sm text-ink2">
        <Toggle label={`“${rule.name}” is on`} on={rule.on} onChange={(on) => acts.toggle(rule, on)} />
        <span className="max-columns:sr-only">{stateInWords(rule, props.today, props.time)}</span>
      </span>
    </div>
  );
});

function focusSibling(row: HTMLElement | null, which: 'previous' | 'next'): void {
  const sibling = which === 'next' ? row?.nextElementSibling : row?.previousElementSibling;
  if (sibling instanceof HTMLElement) {
    sibling.focus();
  }
}
