import { useRef, useState } from 'react';
import { problemText } from '../../../api/problem';
import { Button } from '../../../ui/Button';
import { Menu } from '../../../ui/Menu';
import { Trouble } from '../../../ui/States';
import { useDocumentLink, useDocuments, usePutDocument } from '../documents';
import { sizeInWords } from '../model';

interface Props {
  label: string;
  /** Ids of those chosen, in order. */
  chosen: string[];
  /** Only pictures, and one of them at most. */
  picture?: boolean;
  onChange: (chosen: string[]) => void;
}

/** Documents that go along: from those kept, or put in here; each can be replaced in its place. */
export function DocumentList({ label, chosen, picture = false, onChange }: Props) {
  const documents = useDocuments();
  const link = useDocumentLink();
  const put = usePutDocument();
  const file = useRef<HTMLInputElement>(null);
  const [replacing, setReplacing] = useState<string>();
  const all = (documents.data ?? []).filter((one) => !picture || one.picture);
  const others = all.filter((one) => !chosen.includes(one.id));
  const choose = (id: string) => onChange(picture ? [id] : [...chosen, id]);
  const ask = (id: string | undefined) => {
    setReplacing(id);
    file.current?.click();
  };
  const upload = (files: FileList | null) => {
    const chosenFile = files?.[0];
    if (chosenFile) {
      const id = replacing ?? crypto.randomUUID();
      put
        .mutateAsync({ id, file: chosenFile })
        .then(() => replacing === undefined && choose(id))
        .catch(() => undefined);
    }
    if (file.current) {
      file.current.value = '';
    }
  };
  return (
    <div role="group" aria-label={label}>
      <span className="text-sm text-ink2">{label}</span>
      <ul>
        {chosen.map((id) => {
          const one = all.find((document) => document.id === id);
          return (
            <li key={id} className="flex items-center gap-2 border-t border-line py-1">
              {picture && one && (
                <img alt="" src={`${link(id)}?${one.added}`} className="h-8 max-w-32 object-contain" />
              )}
              <span className="min-w-0 grow truncate">
                {one ? (
                  <>
                    <a
                      className="font-semibold hover:underline"
                      href={link(id)}
                      target="_blank"
                      rel="noreferrer"
                    >
                      {one.fileName}
                    </a>
                    <span className="text-sm text-ink2">
                      {' '}
                      {sizeInWords(one.size)}, put in {one.added}
                    </span>
                  </>
                ) : (
                  <span className="text-clay">{documents.data ? 'a document that is gone' : '…'}</span>
                )}
              </span>
              {one && (
                <Button small look="quiet" onClick={() => ask(id)}>
                  replace …
                </Button>
              )}
              <button
                type="button"
                aria-label={`Take out ${one?.fileName ?? 'it'}`}
                className="rounded px-1 text-ink2 hover:text-ink"
                onClick={() => onChange(chosen.filter((other) => other !== id))}
              >
                ×
              </button>
            </li>
          );
        })}
      </ul>
      {(!picture || chosen.length === 0) && (
        <div className="mt-1 flex gap-2">
          <Button small disabled={put.isPending} onClick={() => ask(undefined)}>
            {put.isPending ? 'putting it in …' : picture ? 'put in a picture …' : 'put in a document …'}
          </Button>
          {others.length > 0 && (
            <Menu
              trigger={
                <Button small look="quiet">
                  one that is kept …
                </Button>
              }
              items={others.map((one) => ({ text: one.fileName, onSelect: () => choose(one.id) }))}
            />
          )}
        </div>
      )}
      <input
        ref={file}
        type="file"
        hidden
        aria-label={`file for ${label}`}
        accept={picture ? 'image/png,image/jpeg,image/gif' : undefined}
        onChange={(e) => upload(e.target.files)}
      />
      {put.isError && (
        <div className="mt-1.5">
          <Trouble text={problemText(put.error)} />
        </div>
      )}
    </div>
  );
}
