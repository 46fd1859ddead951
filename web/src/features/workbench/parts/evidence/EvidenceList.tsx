import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useRef } from 'react';
import type { Criterion } from '../../../criteria';
import type { Asked } from '../../model';
import type { Evidence } from '../../queries';
import { useMatches } from '../../../../ui/useMatches';
import { EvidenceRow } from './EvidenceRow';

const ROW = 34;
/** Below a width each message takes two lines. */
const TWO_LINES = 52;
const ONE_LINE_FROM = '(min-width: 1152px)';
const NEAR_THE_END = 10;

interface Props {
  evidence: Evidence;
  asked: Asked;
  order: number;
  onOpen: (message: number) => void;
  onLeaveOut: (criterion: Criterion) => void;
  /** More rows are needed than are there. */
  onMore: () => void;
}

/** The messages of a counter, one line each; only those in sight are in the page. */
export function EvidenceList({ evidence, asked, order, onOpen, onLeaveOut, onMore }: Props) {
  const scroller = useRef<HTMLDivElement>(null);
  const { rows, rowsInAll } = evidence;
  const rowHeight = useMatches(ONE_LINE_FROM) ? ROW : TWO_LINES;
  // The virtualizer's functions can't be memoized; this component does not rely on that.
  // eslint-disable-next-line react-hooks/incompatible-library
  const sight = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => rowHeight,
    overscan: 6,
    onChange: ({ range }) => {
      if (range && rows.length < rowsInAll && range.endIndex > rows.length - NEAR_THE_END) {
        onMore();
      }
    },
  });
  useEffect(() => sight.measure(), [sight, rowHeight]);
  return (
    <div ref={scroller} className="h-full overflow-auto">
      <ul className="relative" style={{ height: sight.getTotalSize() }}>
        {sight.getVirtualItems().map(({ index, start }) => {
          const row = rows[index];
          return (
            row && (
              <li
                key={row.id}
                aria-setsize={rowsInAll}
                aria-posinset={index + 1}
                className="absolute inset-x-0 top-0"
                style={{ height: rowHeight, transform: `translateY(${start}px)` }}
              >
                <EvidenceRow
                  row={row}
                  asked={asked}
                  order={order}
                  isPicked={row.counters.includes('PICKED')}
                  onOpen={() => onOpen(row.id)}
                  onLeaveOut={onLeaveOut}
                />
              </li>
            )
          );
        })}
      </ul>
    </div>
  );
}
