import { useRef } from 'react';
import { problemText } from '../../../api/problem';
import { counted } from '../../../lib/numbers';
import { Button } from '../../../ui/Button';
import { Menu } from '../../../ui/Menu';
import { useDone } from '../../mailbox';
import { useArchiveAddress, useTakeFiles } from '../queries';

/** Trials out as an archive of files, and in from one. */
export function TrialFiles({ some }: { some: boolean }) {
  const file = useRef<HTMLInputElement>(null);
  const take = useTakeFiles();
  const address = useArchiveAddress();
  const { tell } = useDone();
  const taken = (chosen: File) =>
    take.mutate(chosen, {
      onSuccess: (result) =>
        tell({
          text: [`${counted(result.taken, 'trial')} taken in.`, ...result.notTaken.slice(0, 3)].join(
            ' Not: ',
          ),
        }),
      onError: (failed) => tell({ text: problemText(failed) }),
    });
  return (
    <>
      <input
        ref={file}
        type="file"
        accept=".zip"
        className="sr-only"
        aria-label="An archive of trials"
        tabIndex={-1}
        onChange={(e) => {
          const [chosen] = e.target.files ?? [];
          if (chosen) {
            taken(chosen);
          }
          e.target.value = '';
        }}
      />
      <Menu
        trigger={
          <Button small look="quiet">
            Files …
          </Button>
        }
        items={[
          ...(some ? [{ text: 'Save all as files', onSelect: () => window.location.assign(address) }] : []),
          { text: 'Take in from files …', onSelect: () => file.current?.click() },
        ]}
      />
    </>
  );
}
