import { problemText } from '../../../api/problem';
import { Button } from '../../../ui/Button';
import { Sheet } from '../../../ui/Sheet';
import { Trouble } from '../../../ui/States';
import { useRemoveDocument, type DocumentView } from '../documents';
import { DocumentRow } from './DocumentRow';

interface Props {
  documents: DocumentView[];
  open: boolean;
  onClose: () => void;
  onChoose: (id: string) => void;
}

/** Every document that is kept: attach one, or remove one that no template uses. */
export function KeptDocuments({ documents, open, onClose, onChoose }: Props) {
  const remove = useRemoveDocument();
  return (
    <Sheet title="Stored documents" open={open} onClose={onClose}>
      {remove.isError && <Trouble text={problemText(remove.error)} />}
      <ul>
        {documents.map((one) => (
          <DocumentRow key={one.id} document={one}>
            <Button small onClick={() => onChoose(one.id)}>
              Attach
            </Button>
            {one.usedBy.length === 0 ? (
              <Button small look="quiet" disabled={remove.isPending} onClick={() => remove.mutate(one.id)}>
                remove
              </Button>
            ) : (
              <span className="text-sm text-ink2">attached to {one.usedBy.join(', ')}</span>
            )}
          </DocumentRow>
        ))}
      </ul>
    </Sheet>
  );
}
