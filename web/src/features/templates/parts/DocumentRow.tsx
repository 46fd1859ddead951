import type { ReactNode } from 'react';
import { problemText } from '../../../api/problem';
import { plainDay } from '../../../lib/dates';
import { useChangeDocument, useDocumentLink, type DocumentView } from '../documents';
import { sizeInWords } from '../model';

interface Props {
  document: DocumentView;
  picture?: boolean;
  children: ReactNode;
}

/** A document that is kept, with when it is to be looked at again. */
export function DocumentRow({ document: one, picture = false, children }: Props) {
  const link = useDocumentLink();
  const change = useChangeDocument();
  return (
    <li className="flex flex-wrap items-center gap-x-2 border-t border-line py-1">
      {picture ? (
        <img
          alt={one.fileName}
          src={`${link(one.id)}?${one.added}`}
          className="h-8 max-w-40 min-w-0 grow object-contain object-left"
        />
      ) : (
        <span className="min-w-0 grow truncate">
          <a className="font-semibold hover:underline" href={link(one.id)} target="_blank" rel="noreferrer">
            {one.fileName}
          </a>
          <span className="text-sm text-ink2">
            {' '}
            {sizeInWords(one.size)}, added {plainDay(one.added)}
          </span>
        </span>
      )}
      {!picture && (
        <label className="flex items-center gap-1 text-sm text-ink2">
          check again on
          <input
            type="date"
            className="h-[26px] rounded border border-line2 bg-sheet px-1 text-ink"
            value={one.lookAgainOn ?? ''}
            onChange={(e) =>
              change.mutate({
                id: one.id,
                fileName: one.fileName,
                ...(e.target.value ? { lookAgainOn: e.target.value } : {}),
              })
            }
          />
        </label>
      )}
      {children}
      {change.isError && <span className="w-full text-sm text-clay">{problemText(change.error)}</span>}
    </li>
  );
}
