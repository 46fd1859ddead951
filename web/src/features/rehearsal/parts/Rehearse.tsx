import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { problemText } from '../../../api/problem';
import type { Schemas } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/Choice';
import { Empty, Loading, Trouble } from '../../../ui/States';
import { useDrafts, type KeptDraft } from '../../drafts';
import { useEvidenceDays, WINDOWS } from '../../mailbox';
import { useRuleBook, type RuleBook } from '../../rules';
import { begun, offered, progressInWords, withChanges } from '../model';
import { useBegin, useEndRehearsal, useRulesOf, useStanding } from '../queries';
import { OpenOnes } from './OpenOnes';
import { Kept } from './Kept';
import { Result } from './Result';
import { What } from './What';

/** Other rules over past mail, beside those of now: nothing is done. */
export function Rehearse() {
  const book = useRuleBook();
  const drafts = useDrafts();
  if (book.isPending || drafts.isPending) {
    return <Loading what="Looking what there is to rehearse" />;
  }
  if (book.isError || drafts.isError) {
    return (
      <div className="p-4">
        <Trouble
          text={problemText(book.error ?? drafts.error)}
          onRetry={() => {
            void book.refetch();
            void drafts.refetch();
          }}
        />
      </div>
    );
  }
  return <Place version={book.data.version} now={book.data.document} drafts={drafts.data} />;
}

interface Props {
  version: number;
  now: RuleBook;
  drafts: Map<string, KeptDraft>;
}

function Place({ version, now, drafts }: Props) {
  const changes = offered(now.rules, drafts);
  const [search, setSearch] = useSearchParams();
  const opened = search.get('open') ?? undefined;
  const usual = useEvidenceDays();
  const [days, setDays] = useState<number>(usual);
  const [chosen, setChosen] = useState<string[]>();
  const [other, setOther] = useState<{ words: string; document: RuleBook }>();
  const picked = changes.filter((change) =>
    (chosen ?? begun(changes, search.get('rule'))).includes(change.key),
  );
  const document = other?.document ?? withChanges(now, picked);
  const words = other?.words ?? picked.map((change) => change.words).join(', ');
  const begin = useBegin();
  const standing = useStanding(opened);
  const rules = useRulesOf(opened).data;
  const shown = opened === undefined ? undefined : standing.data;
  const isChosen =
    rules !== undefined && JSON.stringify([rules.document, rules.days]) === JSON.stringify([document, days]);
  const open = (id: string | undefined) =>
    setSearch(
      (now) => {
        const next = new URLSearchParams(now);
        next.delete('open');
        if (id !== undefined) {
          next.set('open', id);
        }
        return next;
      },
      { replace: true },
    );
  return (
    <section data-region aria-label="Rehearsal" className="h-full min-h-0 overflow-auto px-4 py-3.5">
      <div className="mb-2.5 flex flex-wrap items-center gap-x-2.5 gap-y-1">
        <h1 className="text-lg font-bold">Rehearsal</h1>
        <span className="text-sm text-ink2">
          What would have become of past mail by other rules. Nothing is done.
        </span>
        <span className="grow" />
        <Kept onOpen={(line, rules) => setOther({ words: `“${line.name}”`, document: rules })} />
      </div>
      <div className="mb-3 rounded-md border border-line bg-sheet px-3 py-2.5">
        {other ? (
          <p>
            Rules: <b>{other.words}</b>{' '}
            <Button small look="quiet" onClick={() => setOther(undefined)}>
              Choose others
            </Button>
          </p>
        ) : (
          <What
            changes={changes}
            chosen={picked.map((change) => change.key)}
            onChoose={setChosen}
            onVersion={(one) =>
              setOther({ words: `version ${one.version} of the rules`, document: one.document })
            }
          />
        )}
        <div className="mt-2 flex flex-wrap items-center gap-2.5">
          <Choice
            label="how much past mail"
            value={String(days)}
            options={WINDOWS.map((one) => ({ value: String(one), text: `last ${one} days` }))}
            onChoose={(next) => setDays(Number(next))}
          />
          <Button
            look="go"
            disabled={(picked.length === 0 && !other) || begin.isPending || shown?.state === 'RUNNING'}
            onClick={() => begin.mutate({ words, document, days }, { onSuccess: (begun) => open(begun.id) })}
          >
            Rehearse
          </Button>
          {picked.length === 0 && !other && changes.length > 0 && (
            <span className="text-sm text-ink2">Choose what to try.</span>
          )}
          {shown?.state === 'RUNNING' && <Running of={shown} onEnd={() => open(undefined)} />}
          {shown?.state === 'DONE' && rules && !isChosen && (
            <span className="text-sm text-ink2">The result below is of: {rules.words}.</span>
          )}
        </div>
      </div>
      <OpenOnes shown={opened} onOpen={open} />
      {begin.isError && <Trouble text={problemText(begin.error)} />}
      {standing.isError && (
        <Trouble text="This rehearsal is gone: it was closed, or three newer ones took its place. Rehearse once more." />
      )}
      {shown?.state === 'FAILED' && <Trouble text="The rehearsal broke off. The log says why; try again." />}
      {shown?.state === 'DONE' && shown.result && rules && (
        <Result
          key={shown.id}
          standing={shown}
          result={shown.result}
          document={rules.document}
          now={now}
          version={version}
          words={rules.words}
        />
      )}
      {changes.length === 0 && !other && (
        <Empty>
          There is no rule yet.{' '}
          <Link className="font-semibold text-moss" to="/rules/new">
            Start a rule
          </Link>
          , and try here what it would do.
        </Empty>
      )}
    </section>
  );
}

function Running({ of, onEnd }: { of: Schemas['RehearsalStanding']; onEnd: () => void }) {
  const end = useEndRehearsal();
  return (
    <>
      <progress max={Math.max(1, of.of)} value={of.done} aria-label="How far it is" className="accent-moss" />
      <span role="status" className="text-sm text-ink2">
        {progressInWords(of)}
      </span>
      <Button small onClick={() => end.mutate(of.id, { onSettled: onEnd })}>
        Cancel
      </Button>
    </>
  );
}
