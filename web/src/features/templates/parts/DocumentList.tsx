import { useRef, useState } from 'react';
import { problemText } from '../../../api/problem';
import { Button } from '../../../ui/Button';
import { Trouble } from '../../../ui/States';
import { useDocuments, usePutDocument } from '../documents';
import { DocumentRow } from './DocumentRow';
import { KeptDocuments } from './KeptDocuments';

interface Props {
  label: string;
  /** Ids of those chosen, in order. */
  chosen: string[];
  /** Only pictures, and one of them at most. */
  picture?: boolean;
  /** A new file was put in. */
  onBrought: (document: string) => void;
  onChange: (chosen: string[]) => void;
}

/** Attached documents: from those kept, or put in here; each can be replaced . */
export function DocumentList({ label, chosen, picture = false, onBrought, onChange }: Props) {
  const documents = useDocuments();
  const put = usePutDocument();
  const file = useRef<HTMLInputElement>(null);
  const [replacing, setReplacing] = useState<string>();
  const [choosing, setChoosing] = useState(false);
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
        .then(() => {
          if (replacing === undefined) {
            onBrought(id);
            choose(id);
          }
        })
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
          const out = (
            <button
              type="button"
              aria-label={`Take out ${one?.fileName ?? 'it'}`}
              className="rounded px-1 text-ink2 hover:text-ink"
              onClick={() => onChange(chosen.filter((other) => other !== id))}
            >
              ×
            </button>
          );
          return one ? (
            <DocumentRow key={id} document={one} picture={picture}>
              <Button small look="quiet" onClick={() => ask(id)}>
                Replace …
              </Button>
              {out}
            </DocumentRow>
          ) : (
            <li key={id} className="flex border-t border-line py-1 text-clay">
              <span className="grow">{documents.data ? 'a document that no longer exists' : '…'}</span>
              {out}
            </li>
          );
        })}
      </ul>
      {(!picture || chosen.length === 0) && (
        <div className="mt-1 flex flex-wrap gap-2">
          <Button small disabled={put.isPending} onClick={() => ask(undefined)}>
            {put.isPending ? 'adding …' : picture ? 'Add a picture …' : 'Add a document …'}
          </Button>
          {others.length > 0 && (
            <Button small look="quiet" onClick={() => setChoosing(true)}>
              Choose a stored document …
            </Button>
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
      <KeptDocuments
        documents={others}
        open={choosing}
        onClose={() => setChoosing(false)}
        onChoose={(id) => {
          setChoosing(false);
          choose(id);
        }}
      />
      {put.isError && (
        <div className="mt-1.5">
          <Trouble text={problemText(put.error)} />
        </div>
      )}
    </div>
  );
}
