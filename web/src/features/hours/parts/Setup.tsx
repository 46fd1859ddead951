import { useState } from 'react';
import type { Schemas } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { Button } from '../../../ui/Button';
import { Question } from '../../../ui/Question';
import { Sheet } from '../../../ui/Sheet';
import { Loading, Trouble } from '../../../ui/States';
import { useDone } from '../../mailbox';
import { dayName, WEEK, weekOf } from '../model';
import { useHours, useRemoveHours } from '../queries';
import { ClosedDays } from './ClosedDays';
import { HoursForm } from './HoursForm';

type Hours = Schemas['NamedHoursView'];

/** What rules of the mailbox share: hours, and the days on which it is closed. */
export function Setup() {
  const hours = useHours();
  const [edited, setEdited] = useState<Hours>();
  const { tell } = useDone();
  if (hours.isPending) {
    return <Loading what="Loading hours and closed days" />;
  }
  if (hours.isError) {
    return (
      <div className="p-4">
        <Trouble text={problemText(hours.error)} onRetry={() => void hours.refetch()} />
      </div>
    );
  }
  const { opening, calendars, files } = hours.data;
  return (
    <section
      data-region
      aria-label="Setup"
      className="grid max-w-4xl content-start gap-6 overflow-auto px-4 py-3.5"
    >
      <h1 className="text-lg font-bold">Setup</h1>
      <section aria-labelledby="hours" className="grid gap-2">
        <div className="flex flex-wrap items-center gap-3">
          <h2 id="hours" className="font-bold">
            Hours
          </h2>
          <Button small look="go" onClick={() => setEdited({ ...opening, name: '', usedBy: [] })}>
            New hours
          </Button>
        </div>
        <p className="text-sm text-ink2">
          Rules are active inside or outside of hours. Change them here, once for all rules.
        </p>
        <ul className="divide-y divide-line rounded border border-line bg-sheet">
          <li className="flex flex-wrap items-baseline gap-x-3 px-3 py-2">
            <span className="font-semibold">Opening hours</span>
            <span>{weekInBrief(opening.spans)}</span>
            <span className="grow" />
            <span className="text-sm text-ink2">set with the mailbox, in its settings</span>
          </li>
          {hours.data.hours.map((one) => (
            <NamedHours key={one.name} of={one} home={opening.zone} onEdit={() => setEdited(one)} />
          ))}
        </ul>
      </section>
      <ClosedDays calendars={calendars} files={files} />
      <Sheet
        title={edited?.name === '' ? 'New hours' : `Hours “${edited?.name ?? ''}”`}
        open={edited !== undefined}
        onClose={() => setEdited(undefined)}
      >
        {edited && (
          <HoursForm
            key={edited.name}
            hours={edited}
            onSaved={(name) => {
              setEdited(undefined);
              tell({ text: `The hours “${name}” are saved.` });
            }}
          />
        )}
      </Sheet>
    </section>
  );
}

function NamedHours({ of, home, onEdit }: { of: Hours; home: string; onEdit: () => void }) {
  const remove = useRemoveHours();
  const [asked, setAsked] = useState(false);
  return (
    <li className="grid gap-0.5 px-3 py-2">
      <div className="flex flex-wrap items-baseline gap-x-3">
        <button type="button" className="font-semibold hover:underline" onClick={onEdit}>
          {of.name}
        </button>
        <span>
          {weekInBrief(of.spans)}
          {of.zone !== home && ` (${of.zone})`}
        </span>
        <span className="grow" />
        <Button small look="quiet" onClick={() => setAsked(true)}>
          Remove …
        </Button>
      </div>
      <span className="text-sm text-ink2">
        {of.usedBy.length === 0 ? 'no rule goes by them' : `for ${of.usedBy.join(', ')}`}
      </span>
      {remove.isError && <Trouble text={problemText(remove.error)} />}
      <Question
        title={`Remove the hours “${of.name}”?`}
        yes="Remove them"
        open={asked}
        onYes={() => {
          setAsked(false);
          remove.mutate(of.name);
        }}
        onNo={() => setAsked(false)}
      >
        They can be removed while no rule goes by them.
      </Question>
    </li>
  );
}

/** Days that are open alike stand together: "Mon–Fri 9:00–17:00 · Sat 10:00–13:00". */
function weekInBrief(spans: string[]): string {
  const week = weekOf(spans);
  const runs: { from: string; to: string; times: string }[] = [];
  WEEK.forEach((day, i) => {
    const times = week[day];
    const last = runs.at(-1);
    const before = WEEK[i - 1];
    if (times === undefined) {
      return;
    }
    if (last && before && week[before] === times) {
      last.to = day;
    } else {
      runs.push({ from: day, to: day, times });
    }
  });
  const short = (day: string) => dayName(day as (typeof WEEK)[number]).slice(0, 3);
  return runs
    .map(({ from, to, times }) => `${from === to ? short(from) : `${short(from)}–${short(to)}`} ${times}`)
    .join(' · ');
}
