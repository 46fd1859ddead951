import { problemText } from '../../../api/problem';
import { dayAndTime } from '../../../lib/dates';
import { Button } from '../../../ui/Button';
import { Sheet } from '../../../ui/Sheet';
import { Loading, Trouble } from '../../../ui/States';
import type { TemplateText } from '../model';
import { useVersions } from '../queries';

interface Props {
  template: string;
  open: boolean;
  onClose: () => void;
  /** An earlier text is put into the editor; it counts once it is saved. */
  onBackTo: (earlier: TemplateText) => void;
}

export function Versions({ template, open, onClose, onBackTo }: Props) {
  const versions = useVersions(template, open);
  return (
    <Sheet title="Versions of the template" open={open} onClose={onClose}>
      {versions.isPending && <Loading what="Loading the versions" />}
      {versions.isError && <Trouble text={problemText(versions.error)} />}
      <ol className="grid gap-3">
        {versions.data?.map((one, i) => (
          <li key={one.version} className="border-t border-line pt-2">
            <div className="flex items-baseline gap-2">
              <b>version {one.version}</b>
              <span className="grow text-sm text-ink2">
                {one.savedBy}, {dayAndTime(one.savedAt)}
              </span>
              {i > 0 && (
                <Button small onClick={() => onBackTo(one.written)}>
                  Use this text
                </Button>
              )}
            </div>
            <p className="text-sm font-semibold">{one.written.subject}</p>
            <p className="line-clamp-4 text-sm whitespace-pre-wrap text-ink2">{one.written.text}</p>
          </li>
        ))}
      </ol>
    </Sheet>
  );
}
