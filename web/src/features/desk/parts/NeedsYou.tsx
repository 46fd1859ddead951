import { Link } from 'react-router';
import { problemText } from '../../../api/problem';
import { dayAndTime } from '../../../lib/dates';
import { Button } from '../../../ui/Button';
import { Glyph } from '../../../ui/glyphs';
import { Trouble } from '../../../ui/States';
import { useDrafts } from '../../drafts';
import { doneInWords, stateInWords } from '../../incoming';
import { ACTS, useAct, useRecords } from '../../records';
import { useRuleBook } from '../../rules';
import { useDocuments, useTemplates } from '../../templates';
import { byWhen, documentsDue, lookAgain, soon } from '../model';
import { useDesk, useSetAside } from '../queries';
import { SetAside } from './SetAside';

const SHOWN = 8;

/** What waits for a person, most urgent first, each with what can be done about it. */
export function NeedsYou() {
  const records = useRecords(['UNCERTAIN', 'FAILED', 'HELD']);
  const act = useAct();
  const book = useRuleBook();
  const drafts = useDrafts();
  const templates = useTemplates();
  const waiting = records.data ?? [];
  const rules = book.data?.document.rules ?? [];
  const changes = soon(rules, new Date());
  const begun = [...(drafts.data?.keys() ?? [])];
  const aged = lookAgain(templates.data?.templates ?? [], new Date());
  const documents = useDocuments();
  const desk = useDesk();
  const setAside = useSetAside().data ?? [];
  const reminders = desk.data?.reminders ?? [];
  const agedDocuments = documentsDue(documents.data ?? [], new Date());
  const nothing =
    waiting.length +
      setAside.length +
      reminders.length +
      changes.length +
      begun.length +
      aged.length +
      agedDocuments.length ===
    0;
  const failed = records.error ?? act.error;
  return (
    <section aria-label="Needs you">
      <h2 className="mb-1.5 font-bold">Needs you</h2>
      {failed !== null && <Trouble text={problemText(failed)} onRetry={() => void records.refetch()} />}
      {nothing && !records.isPending && !failed && <p className="text-ink2">Nothing needs you right now.</p>}
      <ul>
        {waiting.slice(0, SHOWN).map(({ step, message }) => (
          <li key={step.id} className="flex items-start gap-2 border-t border-line py-2">
            <span className="mt-0.5">
              <Glyph of={step.state === 'HELD' ? 'HELD' : step.kind} />
            </span>
            <span className="min-w-0 grow">
              <Link className="block truncate font-semibold hover:underline" to={`/incoming/${message.id}`}>
                <bdi>{message.subject || '(no subject)'}</bdi>
              </Link>
              <span className="block text-sm">
                {doneInWords(step)} — <b className="text-clay">{stateInWords(step.state)}</b> ·{' '}
                {dayAndTime(step.plannedAt)}
              </span>
              {step.because && <span className="block text-sm text-ink2">{step.because.words}</span>}
              {step.advice && <span className="block text-sm">{step.advice.words}</span>}
            </span>
            <span className="shrink-0">
              {step.acts.map((one) => (
                <Button
                  key={one}
                  small
                  look="quiet"
                  disabled={act.isPending}
                  onClick={() => act.mutate({ step: step.id, act: one })}
                >
                  {ACTS[one]}
                </Button>
              ))}
            </span>
          </li>
        ))}
        {setAside.map((one) => (
          <SetAside key={`aside ${one.message.id}`} {...one} />
        ))}
        {waiting.length > SHOWN && (
          <li className="border-t border-line py-2">
            <Link className="font-semibold text-moss hover:underline" to="/records?view=needs">
              all {waiting.length} that need you
            </Link>
          </li>
        )}
        {reminders.map(({ message, day }) => (
          <li key={`look ${message.id}`} className="border-t border-line py-2">
            <Link className="block truncate font-semibold hover:underline" to={`/incoming/${message.id}`}>
              <bdi>{message.subject || '(no subject)'}</bdi>
            </Link>
            <span className="block text-sm">
              from <bdi>{message.sender}</bdi> · reminder {byWhen(day, new Date())}
            </span>
          </li>
        ))}
        {changes.map(({ rule, words }) => (
          <li key={rule.id} className="border-t border-line py-2">
            <Link className="font-semibold hover:underline" to={`/rules/${rule.id}`}>
              {rule.name}
            </Link>{' '}
            {words}
          </li>
        ))}
        {aged.map((template) => (
          <li key={template.id} className="border-t border-line py-2">
            The template{' '}
            <Link className="font-semibold hover:underline" to="/templates">
              {template.written.name}
            </Link>{' '}
            is due to be checked
          </li>
        ))}
        {agedDocuments.map((document) => (
          <li key={document.id} className="border-t border-line py-2">
            The document{' '}
            <Link className="font-semibold hover:underline" to="/templates">
              {document.fileName}
            </Link>{' '}
            is due to be checked
          </li>
        ))}
        {begun.map((id) => (
          <li key={id} className="border-t border-line py-2">
            <Link className="font-semibold hover:underline" to={`/rules/${id}`}>
              {rules.find((rule) => rule.id === id)?.name ?? 'A new rule'}
            </Link>{' '}
            has changes that are not saved
          </li>
        ))}
      </ul>
    </section>
  );
}
