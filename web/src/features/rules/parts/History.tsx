import { problemText } from '../../../api/problem';
import { dayAndTime } from '../../../lib/dates';
import { Button } from '../../../ui/Button';
import { Sheet } from '../../../ui/Sheet';
import { Empty, Loading, Trouble } from '../../../ui/States';
import type { RuleBook } from '../model';
import { useHistory } from '../queries';

interface Props {
  open: boolean;
  onClose: () => void;
  onBackTo: (document: RuleBook, version: number) => void;
}

/** Who changed the rules when, in words, and the way back to an earlier version. */
export function History({ open, onClose, onBackTo }: Props) {
  const history = useHistory(open);
  return (
    <Sheet title="History of the rules" open={open} onClose={onClose}>
      {history.isPending && <Loading what="Loading the versions" />}
      {history.isError && (
        <Trouble text={problemText(history.error)} onRetry={() => void history.refetch()} />
      )}
      {history.data?.versions.length === 0 && <Empty>No version was saved yet.</Empty>}
      <ol className="grid gap-3">
        {history.data?.versions.map((version, i) => (
          <li key={version.version} className="border-b border-line pb-2">
            <div className="flex items-baseline gap-2">
              <span className="grow text-sm text-ink2">
                <b className="text-ink">{dayAndTime(version.savedAt)}</b> · {version.savedBy}
                {i === 0 && ' · current'}
              </span>
              {i > 0 && (
                <Button small look="quiet" onClick={() => onBackTo(version.document, version.version)}>
                  Go back to this version
                </Button>
              )}
            </div>
            <ul className="mt-0.5">
              {version.changes.map((change) => (
                <li key={change.words}>{change.words}</li>
              ))}
              {version.notes.map((note) => (
                <li key={note.words} className="text-clay">
                  {note.words}
                </li>
              ))}
              {version.changes.length === 0 && <li className="text-ink2">Saved without a change.</li>}
            </ul>
          </li>
        ))}
      </ol>
    </Sheet>
  );
}
