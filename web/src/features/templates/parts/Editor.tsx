import { useEffect, useRef, useState } from 'react';
import { withMember } from '../../../lib/members';
import type { Schemas } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/Choice';
import { TextField } from '../../../ui/Field';
import { Question } from '../../../ui/Question';
import { Trouble } from '../../../ui/States';
import { useDone } from '../../mailbox';
import { useRemoveDocument } from '../documents';
import { useKeptText } from '../kept';
import {
  edited,
  LANGUAGES,
  sameText,
  usedFields,
  type EditedTemplate,
  type FieldView,
  type TemplateText,
} from '../model';
import { useRemoveTemplate, useSaveTemplate } from '../queries';
import { Fallbacks } from './Fallbacks';
import { DocumentList } from './DocumentList';
import { Fielded } from './Fielded';
import type { FieldHand } from './FieldText';
import { Preview } from './Preview';
import { Versions } from './Versions';
import { Words } from './Words';

interface Props {
  begin: EditedTemplate;
  /** As it is saved; nothing while it is new. */
  saved: Schemas['TemplateView'] | undefined;
  fields: FieldView[];
  onSaved: (template: EditedTemplate) => void;
  onRemoved: () => void;
}

export function Editor({ begin, saved, fields, onSaved, onRemoved }: Props) {
  const kept = useKeptText(begin, saved === undefined);
  const { written } = kept;
  const latest = useRef(written);
  useEffect(() => {
    latest.current = written;
  }, [written]);
  const [versions, setVersions] = useState(false);
  const [removing, setRemoving] = useState(false);
  const hand = useRef<FieldHand>(undefined);
  const take = (taken: FieldHand) => {
    hand.current = taken;
  };
  const saving = useSaveTemplate(kept.forget);
  const removal = useRemoveTemplate();
  const removeDocument = useRemoveDocument();
  const done = useDone();
  const tidy = (became: typeof written) =>
    kept.leftOver(became).forEach((document) => removeDocument.mutate(document));
  const discard = () => {
    kept.discard();
    tidy(begin.written);
  };
  const isChanged = saved === undefined || !sameText(written, saved.written);
  const failed = saving.error ?? removal.error;
  const set = (changed: Partial<typeof written>) => kept.write({ ...latest.current, ...changed });
  const lacks = lacking(written);
  const save = () =>
    saving.mutate(
      { id: begin.id, baseVersion: begin.baseVersion, written },
      {
        onSuccess: (now) => {
          done.tell({ text: `“${now.written.name}” is saved as version ${now.version}.` });
          tidy(now.written);
          onSaved(edited(now));
        },
      },
    );
  return (
    <>
      <section
        data-region
        aria-label="The template"
        className="min-w-0 grow overflow-auto bg-sheet px-4 py-3.5"
      >
        <div className="flex flex-wrap items-end gap-3">
          <TextField
            label="Name of the template"
            className="min-w-52 grow"
            value={written.name}
            maxLength={200}
            onChange={(e) => set({ name: e.target.value })}
          />
          <span className="pb-1.5 text-sm text-ink2">
            date format{' '}
            <Choice
              label="language"
              value={written.language}
              options={LANGUAGES}
              onChoose={(language) => set({ language })}
            />
          </span>
        </div>
        <Fielded
          label="Subject (empty: “Auto: ” and the original subject)"
          className="mt-2.5"
          lines={1}
          text={written.subject}
          fields={fields}
          onHand={take}
          onChange={(subject) => set({ subject })}
        />
        <Words
          written={written}
          fields={fields}
          onHand={take}
          onPutIn={(key) => hand.current?.putIn(key)}
          onChange={kept.write}
        />
        <Fallbacks
          fields={usedFields(written, fields).filter((field) => field.canBeMissing)}
          fallbacks={written.fallbacks}
          onChange={(fallbacks) => set({ fallbacks })}
        />
        <div className="mt-3 grid gap-x-4 gap-y-2 min-[1200px]:grid-cols-2">
          <Fielded
            label="Signature, under the text"
            lines={3}
            text={written.signature}
            fields={fields}
            onHand={take}
            onChange={(signature) => set({ signature })}
          />
          <DocumentList
            label="Picture in the signature"
            picture
            chosen={written.picture === undefined ? [] : [written.picture]}
            onBrought={kept.bring}
            onChange={([picture]) => kept.write(withMember(written, 'picture', picture))}
          />
        </div>
        <div className="mt-3">
          <DocumentList
            label="Attached documents"
            chosen={written.documents}
            onBrought={kept.bring}
            onChange={(documents) => set({ documents })}
          />
        </div>
        <div className="mt-3 flex flex-wrap items-end gap-x-4 gap-y-2">
          <TextField
            label="Check again on"
            type="date"
            className="w-40"
            value={written.lookAgainOn ?? ''}
            onChange={(e) => kept.write(withMember(written, 'lookAgainOn', e.target.value || undefined))}
          />
          <span className="grow pb-1.5 text-sm text-ink2">
            {saved === undefined || saved.usedBy.length === 0
              ? 'No rule uses it yet.'
              : `Used by ${saved.usedBy.map((name) => `“${name}”`).join(', ')}.`}
          </span>
        </div>
        {failed !== null && (
          <div className="mt-3">
            <Trouble text={problemText(failed)} />
          </div>
        )}
        <div className="sticky -bottom-3.5 -mx-4 mt-4 -mb-3.5 flex gap-2 border-t border-line bg-sheet px-4 py-2.5">
          <Button look="go" disabled={!isChanged || saving.isPending || lacks !== undefined} onClick={save}>
            Save
          </Button>
          {isChanged && (isWorthKeeping(written) || saved) && (
            <Button look="quiet" onClick={discard}>
              Discard draft
            </Button>
          )}
          {saved && (
            <>
              <Button look="quiet" onClick={() => setVersions(true)}>
                Versions
              </Button>
              <Button look="quiet" onClick={() => setRemoving(true)}>
                Remove …
              </Button>
            </>
          )}
          <span role="status" className="grow self-center text-right text-sm text-ink2">
            {lacks ?? (isChanged ? draftInWords(kept.isFromDraft) : 'No unsaved changes.')}
          </span>
        </div>
      </section>
      <Preview written={written} />
      <Versions
        template={begin.id}
        open={versions}
        onClose={() => setVersions(false)}
        onBackTo={(earlier) => {
          setVersions(false);
          kept.write(earlier);
        }}
      />
      <Question
        open={removing}
        title={`Remove “${written.name}”?`}
        yes="Remove it"
        onNo={() => setRemoving(false)}
        onYes={() =>
          removal.mutate(
            { id: begin.id, baseVersion: begin.baseVersion },
            {
              onSuccess: () => {
                done.tell({ text: `“${written.name}” is removed.` });
                onRemoved();
              },
            },
          )
        }
      >
        Replies already sent stay in Records.
      </Question>
    </>
  );
}

/** Why it can't be saved yet. */
function lacking({ name, text }: TemplateText): string | undefined {
  if (name.trim() === '') {
    return 'Give the template a name to save it.';
  }
  return text.trim() === '' ? 'Write a text to save it.' : undefined;
}

function isWorthKeeping({ name, subject, text, rich }: TemplateText): boolean {
  return [name, subject, text, rich].some((one) => one.trim() !== '');
}

function draftInWords(isFromDraft: boolean): string {
  return isFromDraft ? 'This is your draft of before, not saved yet.' : 'Not saved yet. Your draft is kept.';
}
