import { useRef, useState } from 'react';
import type { Schemas } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { dayAndTime, dayOfYear, weekday } from '../../../lib/dates';
import { counted } from '../../../lib/numbers';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/Choice';
import { Question } from '../../../ui/Question';
import { Trouble } from '../../../ui/States';
import { useDone, useToday } from '../../mailbox';
import { useRemoveClosedDays, useTakeClosedDays } from '../queries';

/** More are seen in the timetable. */
const SHOWN = 4;

interface Props {
  calendars: Schemas['Calendar'][];
  files: string[];
}

/** Days on which the mailbox is closed, from iCalendar files. */
export function ClosedDays({ calendars, files }: Props) {
  const take = useTakeClosedDays();
  const { tell } = useDone();
  const input = useRef<HTMLInputElement>(null);
  const taken = (name: string) => tell({ text: `The closed days “${name}” count from now on.` });
  const read = (chosen: File | undefined) => {
    const name = chosen?.name.replace(/\.ics$/i, '') ?? '';
    chosen
      ?.text()
      .then((text) => take.mutateAsync({ name, text }))
      .then(() => taken(name))
      .catch(() => undefined);
    if (input.current) {
      input.current.value = '';
    }
  };
  const readDaily = (file: string) => {
    const name = file.replace(/\.ics$/i, '');
    take
      .mutateAsync({ name, file })
      .then(() => taken(name))
      .catch(() => undefined);
  };
  return (
    <section aria-labelledby="closed-days" className="grid gap-2">
      <div className="flex flex-wrap items-center gap-3">
        <h2 id="closed-days" className="font-bold">
          Closed days
        </h2>
        <Button small disabled={take.isPending} onClick={() => input.current?.click()}>
          Import a calendar …
        </Button>
        {files.length > 0 && (
          <span className="flex items-center gap-1.5 text-sm">
            read every day from
            <Choice
              label="file"
              value=""
              options={[
                { value: '', text: 'choose a file' },
                ...files.map((file) => ({ value: file, text: file })),
              ]}
              onChoose={(file) => file !== '' && readDaily(file)}
            />
          </span>
        )}
        <input
          ref={input}
          type="file"
          hidden
          aria-label="calendar file"
          accept=".ics,text/calendar"
          onChange={(e) => read(e.target.files?.[0])}
        />
      </div>
      <p className="text-sm text-ink2">
        Events of an iCalendar file (.ics) that take whole days. No hours begin on a closed day. Rules can
        rest on closed days, or be active on them alone.
      </p>
      {take.isError && <Trouble text={problemText(take.error)} />}
      {calendars.length === 0 ? (
        <p className="text-ink2">No closed days yet. Import the calendar of your public holidays.</p>
      ) : (
        <ul className="divide-y divide-line rounded border border-line bg-sheet">
          {calendars.map((one) => (
            <OneCalendar key={one.id} of={one} />
          ))}
        </ul>
      )}
    </section>
  );
}

function OneCalendar({ of }: { of: Schemas['Calendar'] }) {
  const remove = useRemoveClosedDays();
  const today = useToday();
  const [asked, setAsked] = useState(false);
  const next = of.next.slice(0, SHOWN);
  return (
    <li className="grid gap-0.5 px-3 py-2">
      <div className="flex flex-wrap items-baseline gap-x-3">
        <span className="font-semibold">{of.name}</span>
        <span className="text-sm text-ink2">
          {of.file === undefined
            ? `imported ${dayAndTime(of.readAt)}`
            : `${of.file}, read ${dayAndTime(of.readAt)}`}
        </span>
        <span className="grow" />
        <Button small look="quiet" onClick={() => setAsked(true)}>
          Remove …
        </Button>
      </div>
      <span>
        {next.map((day) => `${weekday(day.day)} ${dayOfYear(day.day, today)} ${day.name}`).join(' · ')}
        {of.next.length > SHOWN && ` · and ${counted(of.next.length - SHOWN, 'more day')}`}
        {of.next.length === 0 && 'no closed day lies ahead'}
      </span>
      {of.leftOut > 0 && (
        <span className="text-sm text-ink2">
          {counted(of.leftOut, 'event')} left out: cancelled, or not a whole day
        </span>
      )}
      {of.fault !== undefined && (
        <Trouble text={`The file can’t be read any more: ${of.fault}. What was read before still counts.`} />
      )}
      {remove.isError && <Trouble text={problemText(remove.error)} />}
      <Question
        title={`Remove the closed days “${of.name}”?`}
        yes="Remove them"
        open={asked}
        onYes={() => {
          setAsked(false);
          remove.mutate(of.id);
        }}
        onNo={() => setAsked(false)}
      >
        Hours begin on these days again, and rules that go by closed days act accordingly.
      </Question>
    </li>
  );
}
