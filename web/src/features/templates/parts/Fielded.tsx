import { lazy, Suspense } from 'react';
import type { FieldTextProps } from './FieldText';

/** The editor is large, and comes when it is needed. */
const FieldText = lazy(() => import('./FieldText'));

/** Text with fields in it; while the editor is on its way, its place is kept. */
export function Fielded(props: FieldTextProps) {
  return (
    <Suspense
      fallback={
        <div className={props.className}>
          <div aria-hidden="true" className={props.lines === 1 ? 'h-14' : 'h-56'} />
        </div>
      }
    >
      <FieldText {...props} />
    </Suspense>
  );
}
