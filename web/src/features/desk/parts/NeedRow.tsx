import type { ReactNode } from 'react';
import { Glyph, type Happening } from '../../../ui/glyphs';

interface Props {
  of: Happening;
  title: ReactNode;
  acts?: ReactNode;
  children: ReactNode;
}

/** One thing that needs a person: what it is, why, and what can be done about it. */
export function NeedRow({ of, title, acts, children }: Props) {
  return (
    <li className="@container border-b border-line bg-sheet first:rounded-t-md last:rounded-b-md last:border-b-0">
      <div className="grid grid-cols-[20px_minmax(0,1fr)] items-start gap-x-2.5 gap-y-1 px-3 py-2 @min-[600px]:grid-cols-[20px_minmax(0,1fr)_auto] @min-[600px]:items-center">
        <Glyph of={of} />
        <span className="min-w-0">
          <span className="block truncate font-semibold">{title}</span>
          <span className="block text-sm text-ink2">{children}</span>
        </span>
        <span className="col-start-2 flex flex-wrap gap-1.5 @min-[600px]:col-start-3">{acts}</span>
      </div>
    </li>
  );
}
