import { useCallback, useMemo, useRef, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import type { Schemas } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { counted } from '../../../lib/numbers';
import { Button } from '../../../ui/Button';
import { TextField } from '../../../ui/Field';
import { Empty, Loading, Trouble } from '../../../ui/States';
import { useTemplateNames } from '../../templates';
import { useRowActs, useSaving } from '../acts';
import { copied, copiedFor, stream, templatesOf, type Rule } from '../model';
import { useCourseFigures, useRemedy, useReview, useRuleBook, useUses } from '../queries';
import { useDestinations, waitedFor } from '../../destinations';
import { WhereMailGoes } from '../../loops';
import { useToday } from '../../mailbox';
import { useTrials } from '../../trials';
import { RuleRow } from './RuleRow';
import { useRuleTimes } from '../../hours';
import { History } from './History';
import { MovePreview } from './MovePreview';
import { NotSaved } from './NotSaved';
import { RuleAside } from './RuleAside';
import { Stream } from './Stream';

export function RuleList() {
  const book = useRuleBook();
  const [search] = useSearchParams();
  if (search.get('view') === 'where-mail-goes') {
    return <WhereMailGoes />;
  }
  if (book.isPending) {
    return <Loading what="Loading the rules" />;
  }
  if (book.isError) {
    return (
      <div className="p-4">
        <Trouble text={problemText(book.error)} onRetry={() => void book.refetch()} />
      </div>
    );
  }
  return <Rules book={book.data} />;
}

/** What stands below: absences, which act on every message, also where a rule stopped. */
function Tail({ rules }: { rules: Rule[] }) {
  return (
    rules.length > 0 && (
      <section aria-label="After all rules" className="border-t-2 border-dashed border-line2 px-2.5 pt-1.5">
        <p className="text-sm text-ink2">
          After all rules, also where one stopped. An answer goes out only where no rule answered.
        </p>
        <ul>
          {rules.map((rule) => (
            <li key={rule.id} className="border-b border-line py-1.5">
              <Link className="font-semibold hover:underline" to={`/rules/${rule.id}`}>
                {rule.name}
              </Link>
            </li>
          ))}
        </ul>
      </section>
    )
  );
}

function Rules({ book }: { book: Schemas['RuleBookView'] }) {
  const { version, document } = book;
  const figures = useCourseFigures(version);
  const review = useReview(version);
  const acted = useUses();
  const remedy = useRemedy();
  const navigate = useNavigate();
  const [selected, setSelected] = useState<string>();
  const [spoken, setSpoken] = useState('');
  const [filter, setFilter] = useState('');
  const [history, setHistory] = useState(false);
  const list = useRef<HTMLDivElement>(null);
  const saving = useSaving(book);
  const { save, saveBook } = saving;
  const rules = document.rules;
  const onMoved = useCallback(
    (rule: Rule, order: number) => {
      setSpoken(`${rule.name}, order ${order} of ${rules.length}`);
      requestAnimationFrame(() =>
        list.current?.querySelector<HTMLElement>(`[data-rule="${rule.id}"]`)?.focus(),
      );
    },
    [rules.length],
  );
  const moving = useRowActs(book, setSelected, onMoved);
  const sentences = useMemo(
    () => new Map(book.readBack.map((r) => [r.rule, r.sentence.words])),
    [book.readBack],
  );
  const uses = useMemo(() => new Map((figures.data?.rules ?? []).map((r) => [r.rule, r])), [figures.data]);
  const picked = useMemo(() => new Map([...uses].map(([id, use]) => [id, use.picked])), [uses]);
  const findings = review.data?.findings ?? [];
  const names = useTemplateNames();
  const destinations = useDestinations().data ?? [];
  const today = useToday();
  const times = useRuleTimes();
  const trials = useTrials().data;
  const chosen = rules.find((rule) => rule.id === selected) ?? rules[0];
  const sought = filter.trim().toLowerCase();
  const shown = rules.filter((rule) =>
    [rule.name, sentences.get(rule.id) ?? '', ...templatesOf(rule).map((id) => names.get(id) ?? '')]
      .join(' ')
      .toLowerCase()
      .includes(sought),
  );

  return (
    <div className="flex h-full min-h-0 flex-col min-[1100px]:flex-row">
      <section data-region aria-label="Rules" className="min-h-0 min-w-0 grow overflow-auto">
        <div className="flex flex-wrap items-baseline gap-x-2.5 gap-y-1 px-4 pt-3.5 pb-2.5">
          <h1 className="text-lg font-bold">Rules</h1>
          <span className="min-w-0 grow text-sm text-ink2 columns:basis-0 columns:truncate">
            Every message passes through these rules from top to bottom.
          </span>
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
          <Button small look="quiet" onClick={() => void navigate('/rules?view=where-mail-goes')}>
            Where mail goes
          </Button>
          <Button small look="quiet" onClick={() => setHistory(true)}>
            History
          </Button>
          <Button look="go" small onClick={() => void navigate('/rules/new')}>
            Start a rule
          </Button>
        </div>
        <div className="mx-4 mb-2 grid gap-2">
          <NotSaved saving={moving.saving} />
          <NotSaved saving={saving} />
          {moving.error && <Trouble text={problemText(moving.error)} />}
          {remedy.error && <Trouble text={problemText(remedy.error)} />}
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
            <p className="mt-2">
              Open one of your{' '}
              <Link to="/incoming" className="font-semibold text-moss underline">
                recurring messages
              </Link>{' '}
              and start a rule from it.
            </p>
          </Empty>
        ) : (
          <div className="flex pr-4 pl-5">
            <div className="w-[42px] shrink-0">
              <Stream
                parts={stream(rules, figures.data?.messages ?? 0, picked)}
                window={figures.data?.messages ?? 0}
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
              <div
                role="grid"
                aria-label="Rules in their order"
                aria-busy={figures.isPending || acted.isPending}
                ref={list}
              >
                {shown.map((rule) => (
                  <RuleRow
                    key={rule.id}
                    rule={rule}
                    order={rules.indexOf(rule) + 1}
                    sentence={sentences.get(rule.id) ?? ''}
                    picked={picked.get(rule.id)}
                    selected={rule.id === chosen?.id}
                    trials={trials?.rules.find((one) => one.rule === rule.id)}
                    findings={findings.filter((finding) => finding.rule === rule.id).length}
                    waits={waitedFor(rule, destinations)
                      .map((one) => one.address)
                      .join(', ')}
                    today={today}
                    time={times.get(rule.id)}
                    acts={moving.acts}
                  />
                ))}
              </div>
              <Tail rules={document.tail ?? []} />
              {figures.data && (
                <p className="mt-3 px-2.5 text-sm text-ink2">
                  Figures are for the {counted(figures.data.messages, 'message')} of the last 30 days. Space
                  switches the focused rule on or off, Alt+Up and Alt+Down move it.
                </p>
              )}
            </div>
          </div>
        )}
      </section>
      <MovePreview
        what={moving.asked?.what ?? ''}
        preview={moving.asked?.preview}
        onNo={moving.answered}
        onYes={() => {
          moving.asked?.go();
          moving.answered();
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
          templates={names}
          waits={waitedFor(chosen, destinations)}
          use={
            acted.data && {
              acted: acted.data.find((use) => use.rule === chosen.id),
              matches: uses.get(chosen.id),
            }
          }
          onOpen={() => moving.acts.open(chosen)}
          onSwitch={(on) => moving.acts.toggle(chosen, on)}
          onCopy={() => save(copied(rules, chosen), `“${chosen.name}” is copied; the copy is paused.`)}
          onCopyFor={(sender) => {
            const copy = copiedFor(chosen, sender);
            void navigate(`/rules/${copy.id}`, { state: { fresh: true, changed: copy } });
          }}
          onRemedy={(finding) =>
            remedy.mutate(finding.id, {
              onSuccess: ({ document: mended }) =>
                saveBook(mended, `“${chosen.name}”: ${finding.remedy?.words ?? 'mended'}.`),
            })
          }
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
