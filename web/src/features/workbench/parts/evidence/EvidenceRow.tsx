import { Popover } from 'radix-ui';
import { useState } from 'react';
import type { Schemas } from '../../../../api/client';
import { problemText } from '../../../../api/problem';
import { count } from '../../../../lib/numbers';
import { Button } from '../../../../ui/Button';
import { Glyph } from '../../../../ui/glyphs';
import { MarkedText } from '../../../../ui/MarkedText';
import type { Criterion } from '../../../criteria';
import { fateInWords, happeningsOf } from '../../fate';
import type { Asked } from '../../model';
import { useExceptions } from '../../queries';
import { ShortDate } from '../../../mailbox';
import { KeepAs } from '../../../trials';

interface Props {
  row: Schemas['EvidenceRow'];
  asked: Asked;
  order: number;
  isPicked: boolean;
  onOpen: () => void;
  onLeaveOut: (criterion: Criterion) => void;
}

/** One past message: the words that matched, every step it would get, and for a picked one a way to leave it out. */
export function EvidenceRow({ row, asked, order, isPicked, onOpen, onLeaveOut }: Props) {
  return (
    <div className="flex h-full border-b border-line bg-sheet hover:bg-ground">
      <button
        type="button"
        onClick={onOpen}
        className="grid min-w-0 grow grid-cols-[48px_minmax(80px,132px)_minmax(0,1fr)] items-center gap-x-2 pl-3 text-left text-[13.5px] min-[1152px]:grid-cols-[48px_minmax(80px,132px)_minmax(0,1fr)_minmax(110px,210px)]"
      >
        <span className="figures text-sm text-ink2">
          <ShortDate of={row.received} />
        </span>
        <span className="truncate" title={row.sender.text}>
          <bdi>
            <MarkedText {...row.sender} />
          </bdi>
        </span>
        <span className="col-span-3 col-start-1 row-start-2 truncate min-[1152px]:col-span-1 min-[1152px]:col-start-3 min-[1152px]:row-start-1">
          <bdi>
            <MarkedText {...row.subject} />
          </bdi>
          {row.snippet && (
            <span className="ml-2 text-ink2">
              … <MarkedText {...row.snippet} />
            </span>
          )}
        </span>
        <span className="flex min-w-0 items-center gap-1.5 text-[12.5px] text-ink2">
          {happeningsOf(row.fate).map((kind) => (
            <Glyph key={kind} of={kind} />
          ))}
          <span className="truncate" title={fateInWords(row)}>
            {fateInWords(row)}
          </span>
        </span>
      </button>
      <span className="flex w-[124px] shrink-0 items-center justify-end gap-1 pr-2">
        <KeepAs name={row.subject.text || '(no subject)'} of={{ rule: asked.rule, order, message: row.id }} />
        {isPicked && <LeaveOut row={row} asked={asked} order={order} onLeaveOut={onLeaveOut} />}
      </span>
    </div>
  );
}

type LeavingOut = Pick<Props, 'row' | 'asked' | 'order' | 'onLeaveOut'>;

function LeaveOut(props: LeavingOut) {
  const [open, setOpen] = useState(false);
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger className="rounded px-1 text-[12.5px] text-moss hover:underline">
        leave out …
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={4}
          className="z-50 w-[380px] max-w-[94vw] rounded-md border border-line2 bg-sheet p-3 shadow-lg"
        >
          <Exceptions
            {...props}
            onLeaveOut={(criterion) => {
              setOpen(false);
              props.onLeaveOut(criterion);
            }}
          />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

function Exceptions({ row, asked, order, onLeaveOut }: LeavingOut) {
  const found = useExceptions(asked, order, row.id);
  return (
    <>
      <p className="text-sm text-ink2">Leave out mail</p>
      {found.isPending && <p className="mt-1 text-sm">looking …</p>}
      {found.isError && <p className="mt-1 text-sm text-clay">{problemText(found.error)}</p>}
      {found.data?.exceptions.length === 0 && (
        <p className="mt-1 text-sm">
          It has nothing that the other messages lack. Add a criterion under Leaves out yourself.
        </p>
      )}
      <ul className="mt-1 grid gap-1.5">
        {found.data?.exceptions.map((one) => (
          <li key={one.clause.words} className="flex items-center gap-2">
            <span className="min-w-0 grow text-sm">
              {one.clause.words}
              <span className="figures block text-[12.5px] text-ink2">
                leaves out {count(one.excludes)}, still picks {count(one.keeps)}
              </span>
            </span>
            <Button small onClick={() => onLeaveOut(one.criterion)}>
              leave out
            </Button>
          </li>
        ))}
      </ul>
    </>
  );
}
