import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { Problem, problemText } from '../../../api/problem';
import type { Schemas } from '../../../api/client';
import { count, counted } from '../../../lib/numbers';
import { Button } from '../../../ui/Button';
import { Question } from '../../../ui/Question';
import { Trouble } from '../../../ui/States';
import { LoopRefused, loopOf } from '../../loops';
import { useDone } from '../../mailbox';
import { TrialsOfRule, TrialsRefused, trialsAgainst } from '../../trials';
import { useRuleBook, useSaveRuleBook, withRules, type Rule, type RuleBook } from '../../rules';
import { ask, draftOf, lacking, placed, type Draft, type Fault } from '../model';

interface Props {
  draft: Draft;
  begin: Draft;
  isNew: boolean;
  picked: number | undefined;
  /** The actions that can't be carried out yet. */
  unfinished: Fault[];
  /** About whom the rule hands mail to. */
  cautions: Schemas['Statement'][];
  /** What still stands in the texts of the rule as a place for something. */
  warnings: Schemas['Statement'][];
  /** The rules that this one would keep from messages. */
  shadows: Schemas['ShadowedView'][];
  /** What the rule does with later rules where it says nothing. */
  presetEnding: Rule['ending'];
  onChange: (draft: Draft) => void;
  /** What changes hands in the evidence, against the rule as it is live. */
  difference?: Schemas['Difference'] | undefined;
  onSaved: () => void;
  onDrop: () => void;
}

export function SaveBar(props: Props) {
  const { draft, begin, isNew, picked, unfinished, difference, onChange, onSaved, onDrop } = props;
  const book = useRuleBook();
  const saving = useSaveRuleBook();
  const done = useDone();
  const navigate = useNavigate();
  const lacks = lacking(draft, unfinished);
  const asked = ask(draft);

  const save = (on: boolean, base: { version: number; document: RuleBook }, despiteTrials = false) => {
    if (!asked) {
      return;
    }
    const rule = { ...asked.rule, on };
    const document = withRules(base.document, placed(base.document.rules, rule, draft.order));
    saving.mutate(
      { baseVersion: base.version, document, despiteTrials },
      {
        onSuccess: (saved) => {
          done.tell({
            text: on
              ? `“${rule.name}” is on. ${actsOn(isNew, picked)}`
              : `“${rule.name}” is saved and paused.`,
            ...(on &&
              (isNew || !draft.on) &&
              picked !== 0 && { next: { text: 'Catch up …', to: `/records/catch-ups?rule=${rule.id}` } }),
            takeBack: () =>
              saving.mutate(
                { baseVersion: saved.version, document: base.document },
                { onSuccess: () => done.tell({ text: `Undone: “${rule.name}” is as before.` }) },
              ),
          });
          onSaved();
          void navigate('/rules');
        },
      },
    );
  };
  const texts = props.warnings.map((one) => one.words).join(' ');
  const said = [
    ...props.cautions.map((one) => one.words),
    ...(texts ? [`In the text of this rule: ${texts}`] : []),
  ];
  const now = book.data;
  const conflict = saving.error instanceof Problem && saving.error.status === 409 ? saving.error : undefined;
  return (
    <div data-region role="region" aria-label="Saving" className="border-t border-line2 bg-sheet">
      {conflict && (
        <Conflict
          problem={conflict}
          name={draft.name}
          id={draft.id}
          onMine={() =>
            save(draft.on, {
              version: Number(conflict.more['version']),
              document: conflict.more['document'] as RuleBook,
            })
          }
        />
      )}
      {saving.isError && !conflict && (
        <div className="px-4 pt-2">
          {trialsAgainst(saving.error).length > 0 ? (
            <TrialsRefused problem={saving.error} onAnyway={() => now && save(true, now, true)} />
          ) : loopOf(saving.error) ? (
            <LoopRefused
              problem={saving.error}
              document={saving.variables.document}
              onRemedy={(mended) => {
                saving.reset();
                onChange(draftIn(mended, draft));
              }}
            />
          ) : (
            <Trouble text={problemText(saving.error)} />
          )}
        </div>
      )}
      <Shadows {...props} />
      {said.length > 0 && (
        <p role="status" className="bg-clay-soft px-4 py-1.5">
          {said.map((words) => (
            <span key={words} className="block">
              {words}
            </span>
          ))}
        </p>
      )}
      <div className="flex min-h-[52px] flex-wrap items-center gap-2 px-4 py-2">
        <span className="grow text-sm text-ink2" role="status">
          {lacks.length > 0 ? lacks.join(' ') : changes(begin, draft, isNew, difference)}
        </span>
        {!isNew && !saving.isError && <TrialsOfRule rule={draft.id} />}
        {asked && (
          <Link className="text-sm text-moss hover:underline" to={`/trials/rehearsal?rule=${draft.id}`}>
            Rehearse
          </Link>
        )}
        {begin !== draft && <Discard isNew={isNew} onYes={onDrop} />}
        <Button
          disabled={!now || !asked || unfinished.length > 0 || saving.isPending}
          onClick={() => now && save(false, now)}
        >
          {draft.on ? 'Save and pause' : 'Save paused'}
        </Button>
        <Button
          look="go"
          disabled={!now || lacks.length > 0 || saving.isPending}
          onClick={() => now && save(true, now)}
        >
          {draft.on && !isNew ? 'Save' : 'Save and switch on'}
        </Button>
      </div>
    </div>
  );
}

/** Says before saving which rules would lose messages to this one, and offers what prevents it. */
function Shadows({ shadows, draft, presetEnding, onChange }: Props) {
  if (shadows.length === 0) {
    return null;
  }
  const below = Math.max(...shadows.map((one) => one.order));
  const stops = (draft.ending ?? presetEnding) === 'stop here';
  const answersOnly = shadows.every((one) => one.answers);
  return (
    <div role="status" className="flex flex-wrap items-center gap-x-3 gap-y-1 bg-clay-soft px-4 py-1.5">
      <span className="grow">
        {shadows.slice(0, 3).map((one) => (
          <span key={`${one.rule} ${one.answers}`} className="block">
            {counted(one.messages, 'message')} of the last 30 days would no longer{' '}
            {one.answers ? 'be answered by' : 'reach'} “{one.name}”.
          </span>
        ))}
        {shadows.length > 3 && <span className="block">And {counted(shadows.length - 3, 'more rule')}.</span>}
      </span>
      <Button small onClick={() => onChange({ ...draft, order: below })}>
        Place this rule below
      </Button>
      {stops && !answersOnly && (
        <Button small onClick={() => onChange({ ...draft, ending: 'continue' })}>
          Let later rules continue
        </Button>
      )}
    </div>
  );
}

/** Past mail is never touched by a new rule; of an edited one, what it did is done. */
function actsOn(isNew: boolean, picked: number | undefined): string {
  if (!isNew) {
    return 'New mail is handled by it as it is now; what it did before is not undone.';
  }
  if (!picked) {
    return 'New mail only.';
  }
  return `New mail only; the ${counted(picked, 'past message')} ${picked === 1 ? 'is' : 'are'} untouched.`;
}

function Discard({ isNew, onYes }: { isNew: boolean; onYes: () => void }) {
  const [asked, setAsked] = useState(false);
  return (
    <>
      <Button look="quiet" onClick={() => setAsked(true)}>
        Discard draft
      </Button>
      <Question
        open={asked}
        title="Discard the draft?"
        yes="Discard draft"
        onNo={() => setAsked(false)}
        onYes={() => {
          setAsked(false);
          onYes();
        }}
      >
        {isNew ? 'This new rule is not saved yet: all of it is lost.' : 'The rule stays as it was saved.'}
      </Question>
    </>
  );
}

interface ConflictProps {
  problem: Problem;
  name: string;
  id: string;
  onMine: () => void;
}

function Conflict({ problem, name, id, onMine }: ConflictProps) {
  const theirs = (problem.more['document'] as RuleBook).rules.find((rule) => rule.id === id);
  return (
    <div role="alert" className="flex flex-wrap items-center gap-3 bg-clay-soft px-4 py-2">
      <span className="grow">
        {problem.message}{' '}
        {theirs
          ? `In their version this rule is called “${theirs.name}”, is ${theirs.on ? 'on' : 'paused'} and has ${counted(theirs.does.length, 'action')}.`
          : 'This rule is not in their version.'}
      </span>
      <a className="font-semibold text-moss" href="/rules" target="_blank" rel="noreferrer">
        View their version
      </a>
      <Button small look="danger" onClick={onMine}>
        Put {name ? `my “${name}”` : 'mine'} in their version
      </Button>
    </div>
  );
}

/** A draft as its rule stands among other rules; on or off as it was. */
function draftIn(book: RuleBook, draft: Draft): Draft {
  const at = book.rules.findIndex((rule) => rule.id === draft.id);
  const rule = book.rules[at];
  return rule ? { ...draftOf(rule, at), on: draft.on } : draft;
}

/** The rules with one put at its order. */
function changes(
  begin: Draft,
  draft: Draft,
  isNew: boolean,
  difference: Schemas['Difference'] | undefined,
): string {
  if (isNew) {
    return 'Not saved yet. Your draft is kept.';
  }
  if (begin === draft) {
    return 'No unsaved changes.';
  }
  return difference
    ? `Against the live rule: +${count(difference.more)} picked, −${count(difference.fewer)}. Your draft is kept.`
    : 'Changed, not saved yet. Your draft is kept.';
}
