import { useState } from 'react';
import { problemText } from '../../../api/problem';
import { counted } from '../../../lib/numbers';
import { Button } from '../../../ui/Button';
import { Empty, Loading, Trouble } from '../../../ui/States';
import { useHasDraft, useNewDraft } from '../kept';
import { edited, newTemplate, type EditedTemplate } from '../model';
import { useTemplates } from '../queries';
import { Editor } from './Editor';

/** Prepared replies: the list, and the open one beside what its recipient will see. */
export function Templates() {
  const found = useTemplates();
  const [open, setOpen] = useState<EditedTemplate>();
  const begun = useNewDraft((found.data?.templates ?? []).map((one) => one.id));
  const hasDraft = useHasDraft();
  if (found.isPending) {
    return <Loading what="Loading the templates" />;
  }
  if (found.isError) {
    return (
      <div className="p-4">
        <Trouble text={problemText(found.error)} onRetry={() => void found.refetch()} />
      </div>
    );
  }
  const { templates, fields } = found.data;
  const first = templates[0];
  const shown = open ?? (first && edited(first));
  const saved = templates.find((one) => one.id === shown?.id);
  const isNew = shown !== undefined && saved === undefined;
  return (
    <div className="flex h-full min-h-0 flex-col min-[760px]:flex-row">
      <section
        data-region
        aria-label="Templates"
        className="shrink-0 overflow-auto border-line py-3.5 max-[760px]:max-h-40 max-[760px]:border-b min-[760px]:w-[180px] min-[760px]:border-r min-[1152px]:w-[236px]"
      >
        <div className="flex items-baseline gap-2 px-4 pb-2">
          <h1 className="grow text-lg font-bold">Templates</h1>
          <Button small look="go" onClick={() => setOpen(newTemplate())}>
            New
          </Button>
        </div>
        <ul>
          {begun && (
            <li>
              <button
                type="button"
                aria-current={isNew}
                className={`block w-full border-l-[3px] px-4 py-1.5 text-left ${isNew ? 'border-moss bg-sheet' : 'border-transparent'}`}
                onClick={() => setOpen(isNew ? shown : { ...newTemplate(), id: begun.id })}
              >
                <span className="block truncate font-semibold">{begun.written.name || 'a new template'}</span>
                <span className="block text-sm text-ink2">draft, not saved yet</span>
              </button>
            </li>
          )}
          {templates.map((one) => (
            <li key={one.id}>
              <button
                type="button"
                aria-current={one.id === shown?.id}
                className={`block w-full border-l-[3px] px-4 py-1.5 text-left ${one.id === shown?.id ? 'border-moss bg-sheet' : 'border-transparent'}`}
                onClick={() => setOpen(edited(one))}
              >
                <span className="block truncate font-semibold">{one.written.name}</span>
                <span className="block text-sm text-ink2">
                  {one.usedBy.length === 0
                    ? 'used by no rule'
                    : `used by ${counted(one.usedBy.length, 'rule')}`}
                  {one.faults.length > 0 && ' · worth a look'}
                  {hasDraft(one.id) && ' · draft'}
                </span>
              </button>
            </li>
          ))}
        </ul>
      </section>
      {shown ? (
        <Editor
          key={`${shown.id} ${shown.baseVersion}`}
          begin={shown}
          saved={saved}
          fields={fields}
          onSaved={setOpen}
          onRemoved={() => setOpen(undefined)}
        />
      ) : (
        <div className="grow">
          <Empty>
            <p>No templates yet.</p>
            <p className="mt-2">
              Write a reply once, with fields that are filled in from each message. Rules can then use it.
            </p>
            <Button look="go" className="mt-3" onClick={() => setOpen(newTemplate())}>
              Write the first template
            </Button>
          </Empty>
        </div>
      )}
    </div>
  );
}
