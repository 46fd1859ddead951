import { useRef, useState } from 'react';
import { problemText } from '../../../api/problem';
import { Button } from '../../../ui/Button';
import { Sheet } from '../../../ui/Sheet';
import { Trouble } from '../../../ui/States';
import { useDone, useMailboxId } from '../../mailbox';
import { takenInWords } from '../model';
import { useTakeCards } from '../queries';

/** People as a vCard file (vCard), in and out. */
export function Cards({ people }: { people: number }) {
  const mailbox = useMailboxId();
  const take = useTakeCards();
  const done = useDone();
  const file = useRef<HTMLInputElement>(null);
  const [notTaken, setNotTaken] = useState<string[]>([]);
  const read = (chosen: File | undefined) => {
    chosen
      ?.text()
      .then((cards) => take.mutateAsync(cards))
      .then((taken) => {
        done.tell({ text: takenInWords(taken) });
        setNotTaken(taken.notTaken);
      })
      .catch(() => undefined);
    if (file.current) {
      file.current.value = '';
    }
  };
  return (
    <>
      <Button small disabled={take.isPending} onClick={() => file.current?.click()}>
        {take.isPending ? 'importing …' : 'Import vCards …'}
      </Button>
      {people > 0 && (
        <a
          className="text-sm font-semibold text-moss hover:underline"
          href={`/api/mailboxes/${mailbox}/cards`}
          download
        >
          Export as vCards
        </a>
      )}
      <input
        ref={file}
        type="file"
        hidden
        aria-label="vCard file"
        accept=".vcf,text/vcard"
        onChange={(e) => read(e.target.files?.[0])}
      />
      {take.isError && (
        <div className="w-full">
          <Trouble text={problemText(take.error)} />
        </div>
      )}
      <Sheet title="Not imported" open={notTaken.length > 0} onClose={() => setNotTaken([])}>
        <ul className="grid gap-1">
          {notTaken.map((why) => (
            <li key={why}>{why}</li>
          ))}
        </ul>
      </Sheet>
    </>
  );
}
