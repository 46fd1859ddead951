import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { dayAndTime } from '../../../lib/dates';
import { isOpen, rulesInWords, standingInWords, useCatchUps } from '../../catchup';
import { useDrafts } from '../../drafts';
import { endingSoon, useDestinations } from '../../destinations';
import { useNow, useToday } from '../../mailbox';
import { useRuleBook } from '../../rules';
import { useDocuments, useTemplates } from '../../templates';
import { useAwaySoon } from './Away';
import { byWhen, daysTo, documentsDue, inDays, lookAgain } from '../model';
import { useDesk } from '../queries';

/** What is due, begins or ends soon, and what is not finished. */
export function ComingUp() {
  const today = useToday();
  const rules = useRuleBook().data?.document.rules ?? [];
  const { reminders = [], turns = [] } = useDesk().data ?? {};
  const templates = lookAgain(useTemplates().data?.templates ?? [], today);
  const documents = documentsDue(useDocuments().data ?? [], today);
  const begun = [...(useDrafts().data?.keys() ?? [])];
  const ending = endingSoon(useDestinations().data ?? [], useNow());
  const caughtUp = (useCatchUps().data ?? []).filter(isOpen);
  const away = useAwaySoon();
  const lists = [away, ending, reminders, turns, templates, documents, begun, caughtUp];
  const nothing = lists.every((list) => list.length === 0);
  return (
    <section aria-label="Coming up">
      <div className="mb-1.5 flex items-baseline gap-2">
        <h2 className="grow font-bold">Coming up</h2>
        <Link className="text-sm font-semibold text-moss hover:underline" to="/timetable?away=new">
          I’ll be away …
        </Link>
      </div>
      {nothing && (
        <p className="text-ink2">
          Nothing is due. Reminders, rules that begin or end, templates to be checked and catch-ups are listed
          here.
        </p>
      )}
      <ul>
        {reminders.map(({ message, day }) => (
          <Due key={`look ${message.id}`} when={byWhen(day, today)}>
            <Link className="font-semibold hover:underline" to={`/incoming/${message.id}`}>
              <bdi>{message.subject || '(no subject)'}</bdi>
            </Link>
            <span className="block text-sm text-ink2">
              reminder, from <bdi>{message.sender}</bdi>
            </span>
          </Due>
        ))}
        {away.map(({ id, when, to, words }) => (
          <Due key={id} when={when}>
            <Link className="font-semibold hover:underline" to={to}>
              {words}
            </Link>
          </Due>
        ))}
        {turns.map(({ rule, name, day, what }) => (
          <Due key={rule} when={inDays(daysTo(day, today))}>
            <Link className="font-semibold hover:underline" to={`/rules/${rule}`}>
              {name}
            </Link>{' '}
            {what.words}
          </Due>
        ))}
        {templates.map((template) => (
          <Due key={template.id} when="check">
            The template{' '}
            <Link className="font-semibold hover:underline" to="/templates">
              {template.written.name}
            </Link>{' '}
            is due to be checked
          </Due>
        ))}
        {documents.map((document) => (
          <Due key={document.id} when="check">
            The document{' '}
            <Link className="font-semibold hover:underline" to="/templates">
              {document.fileName}
            </Link>{' '}
            is due to be checked
          </Due>
        ))}
        {ending.map((one) => (
          <Due key={one.id} when={dayAndTime(one.endsAt ?? '')}>
            The agreement of{' '}
            <Link className="font-semibold hover:underline" to="/address-book">
              {one.address}
            </Link>{' '}
            ends
          </Due>
        ))}
        {caughtUp.map((one) => (
          <Due key={one.id} when="catch-up">
            <Link className="font-semibold hover:underline" to={`/records/catch-ups?open=${one.id}`}>
              {rulesInWords(one)}
            </Link>{' '}
            {standingInWords(one)}
            {one.note && <span className="block text-sm text-clay">{one.note.words}</span>}
          </Due>
        ))}
        {begun.map((id) => (
          <Due key={id} when="draft">
            <Link className="font-semibold hover:underline" to={`/rules/${id}`}>
              {rules.find((rule) => rule.id === id)?.name ?? 'A new rule'}
            </Link>{' '}
            has changes that are not saved
          </Due>
        ))}
      </ul>
    </section>
  );
}

function Due({ when, children }: { when: string; children: ReactNode }) {
  return (
    <li className="grid grid-cols-[104px_minmax(0,1fr)] gap-2 border-t border-line py-1.5">
      <b>{when}</b>
      <span className="min-w-0 break-words">{children}</span>
    </li>
  );
}
