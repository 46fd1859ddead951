import { useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import type { Schemas } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { counted } from '../../../lib/numbers';
import { Button } from '../../../ui/Button';
import { TextField } from '../../../ui/Field';
import { Empty, Loading, Trouble } from '../../../ui/States';
import { useDone } from '../../mailbox';
import { copied, moved, stream, switched, withRules, type Rule, type RuleBook } from '../model';
import { useCourseFigures, useRehearsal, useReview, useRuleBook, useSaveRuleBook } from '../queries';
import { CourseRow } from './CourseRow';
import { History } from './History';
import { MovePreview } from './MovePreview';
import { RuleAside } from './RuleAside';
import { Stream } from './Stream';

/** A move that would make mail change hands, before it is saved. */
interface Asked {
  what: string;
  preview: Schemas['RehearsalView'];
  go: () => void;
}

export function Course() {
  const book = useRuleBook();
  const figures = useCourseFigures(book.data?.version);
  const review = useReview(book.data?.version);
  const rehearsal = useRehearsal();
  const saving = useSaveRuleBook();
  const [asked, setAsked] = useState<Asked>();
  const navigate = useNavigate();
  const done = useDone();
  const [selected, setSelected] = useState<string>();
  const [spoken, setSpoken] = useState('');
  const [filter, setFilter] = useState('');
  const [history, setHistory] = useState(false);
  const list = useRef<HTMLDivElement>(null);

  if (book.isPending) {
    return <Loading what="Fetching the rules" />;
  }
  if (book.isError) {
    return (
      <div className="p-4">
        <Trouble text={problemText(book.error)} onRetry={() => void book.refetch()} />
      </div>
    );
  }
  const { version, document, readBack } = book.data;
  const rules = document.rules;
  const sentences = new Map(readBack.map((r) => [r.rule, r.sentence]));
  const picked = new Map((figures.data?.rules ?? []).map((r) => [r.rule, r.picked]));
  const chosen = rules.find((rule) => rule.id === selected) ?? rules[0];

  const findings = review.data?.findings ?? [];
  const sought = filter.trim().toLowerCase();
  const shown = rules.filter(
    (rule) => sought === '' || `${rule.name} ${sentences.get(rule.id) ?? ''}`.toLowerCase().includes(sought),
  );

  const save = (changed: Rule[], what: string) => saveBook(withRules(document, changed), what);
  const saveBook = (changed: RuleBook, what: string) =>
    saving.mutate(
      { baseVersion: version, document: changed },
      {
        onSuccess: (saved) =>
          done.tell({
            text: what,
            takeBack: () =>
              saving.mutate(
                { baseVersion: saved.version, document },
                { onSuccess: () => done.tell({ text: `Taken back: ${what}` }) },
              ),
          }),
      },
    );
  const move = (rule: Rule, by: number) => {
    const from = rules.indexOf(rule);
    const to = from + by;
    if (to < 0 || to >= rules.length) {
      return;
    }
    const order = moved(rules, from, to);
    const go = () => {
      save(order, `“${rule.name}” is now order ${to + 1}.`);
      setSpoken(`${rule.name}, order ${to + 1} of ${rules.length}`);
      requestAnimationFrame(() => list.current?.querySelectorAll<HTMLElement>('[role=row]')[to]?.focus());
    };
    rehearsal.mutate(withRules(document, order), {
      onSuccess: (preview) =>
        preview.changed === 0 ? go() : setAsked({ what: `“${rule.name}” as order ${to + 1}?`, preview, go }),
    });
  };
  const dropped = (id: string, at: Rule) => {
    const rule = rules.find((one) => one.id === id);
    if (rule && rule !== at) {
      move(rule, rules.indexOf(at) - rules.indexOf(rule));
    }
  };
  const toggle = (rule: Rule, on: boolean) =>
    save(switched(rules, rule.id, on), `“${rule.name}” is ${on ? 'on. New mail only' : 'paused'}.`);

  return (
    <div className="flex h-full min-h-0">
      <section data-region aria-label="The course" className="min-w-0 grow overflow-auto">
        <div className="flex flex-wrap items-baseline gap-x-2.5 gap-y-1 px-4 pt-3.5 pb-2.5">
          <h1 className="text-lg font-bold">The course</h1>
          <span className="grow text-sm text-ink2">every message goes down it once, from the top</span>
          {rules.length > 8 && (
            <TextField
              label="Filter the rules"
              hideLabel
              placeholder="name, address, phrase …"
              className="w-48"
              value={filter}
              onChange={(e) => setFilter(e.target.value)}
            />
          )}
          <Button small look="quiet" onClick={() => setHistory(true)}>
            History
          </Button>
          <Button look="go" small onClick={() => void navigate('/rules/new')}>
            Start a rule
          </Button>
        </div>
        <div className="mx-4 mb-2 grid gap-2">
          {rehearsal.isError && <Trouble text={problemText(rehearsal.error)} />}
          {saving.isError && <Trouble text={problemText(saving.error)} onRetry={() => void book.refetch()} />}
          {figures.isError && (
            <Trouble text={problemText(figures.error)} onRetry={() => void figures.refetch()} />
          )}
        </div>
        <div aria-live="polite" className="sr-only">
          {spoken}
        </div>
        {rules.length === 0 ? (
          <Empty>
            <p>No rules yet, so all mail stays in the inbox.</p>
            <p className="mt-2">Open a message in Incoming that keeps coming, and start a rule from it.</p>
          </Empty>
        ) : (
          <div className="flex pr-4 pl-5">
            <div className="w-[42px] shrink-0">
              <Stream
                parts={stream(rules, figures.data?.window ?? 0, picked)}
                window={figures.data?.window ?? 0}
              />
              {figures.data && (
                <p className="figures mt-1 text-xs text-ink2">
                  {figures.data.inInbox.toLocaleString('en-GB')}
                  <br />
                  stay
                </p>
              )}
            </div>
            <div className="min-w-0 grow">
              <div role="grid" aria-label="Rules in their order" ref={list}>
                {shown.map((rule) => (
                  <CourseRow
                    key={rule.id}
                    rule={rule}
                    order={rules.indexOf(rule) + 1}
                    sentence={sentences.get(rule.id) ?? ''}
                    picked={picked.get(rule.id)}
                    selected={rule.id === chosen?.id}
                    findings={findings.filter((finding) => finding.rule === rule.id).length}
                    onSelect={() => setSelected(rule.id)}
                    onOpen={() => void navigate(`/rules/${rule.id}`)}
                    onSwitch={(on) => toggle(rule, on)}
                    onMove={(by) => move(rule, by)}
                    onDropped={(id) => dropped(id, rule)}
                  />
                ))}
              </div>
              {figures.data && (
                <p className="mt-3 px-2.5 text-sm text-ink2">
                  Figures are for the {counted(figures.data.window, 'message')} of the last 30 days. Space
                  switches the focused rule, Alt+Up and Alt+Down move it.
                </p>
              )}
            </div>
          </div>
        )}
      </section>
      <MovePreview
        what={asked?.what ?? ''}
        preview={asked?.preview}
        onNo={() => setAsked(undefined)}
        onYes={() => {
          asked?.go();
          setAsked(undefined);
        }}
      />
      <History
        open={history}
        onClose={() => setHistory(false)}
        onBackTo={(earlier, was) => {
          setHistory(false);
          saveBook(earlier, `The rules are back to version ${was}.`);
        }}
      />
      {chosen && (
        <RuleAside
          rule={chosen}
          sentence={sentences.get(chosen.id) ?? ''}
          findings={findings.filter((finding) => finding.rule === chosen.id)}
          onOpen={() => void navigate(`/rules/${chosen.id}`)}
          onSwitch={(on) => toggle(chosen, on)}
          onCopy={() => save(copied(rules, chosen), `“${chosen.name}” is copied; the copy is paused.`)}
          onRemedy={(remedy) => saveBook(remedy.document, `${remedy.words}: done.`)}
          onRemove={() =>
            save(
              rules.filter((rule) => rule.id !== chosen.id),
              `“${chosen.name}” is removed.`,
            )
          }
        />
      )}
    </div>
  );
}
