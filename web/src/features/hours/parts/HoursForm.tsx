import { useState } from 'react';
import { problemText } from '../../../api/problem';
import type { Schemas } from '../../../api/client';
import { inZone } from '../../../lib/dates';
import { Button } from '../../../ui/Button';
import { TextField } from '../../../ui/Field';
import { Trouble } from '../../../ui/States';
import { dayName, spansOf, WEEK, weekOf, type Week } from '../model';
import { useEffects, useSaveHours } from '../queries';

interface Props {
  hours: Schemas['NamedHoursView'];
  onSaved: (name: string) => void;
}

const ZONES = Intl.supportedValuesOf('timeZone');

/** Hours with a name, a week long; what they make of rules is shown before they are saved. */
export function HoursForm({ hours, onSaved }: Props) {
  const [name, setName] = useState(hours.name);
  const [zone, setZone] = useState(hours.zone);
  const [week, setWeek] = useState<Week>(weekOf(hours.spans));
  const effects = useEffects();
  const saving = useSaveHours();
  const isNew = hours.name === '';
  const { spans, unreadable } = spansOf(week);
  const written = { name: name.trim(), zone, spans };
  const fits = written.name !== '' && spans.length > 0 && unreadable.length === 0;
  const save = () => {
    saving
      .mutateAsync(written)
      .then(() => onSaved(written.name))
      .catch(() => undefined);
  };
  const change = (next: Week) => {
    setWeek(next);
    effects.reset();
  };
  return (
    <form
      className="grid gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        if (hours.usedBy.length === 0 || effects.isSuccess) {
          save();
        } else {
          effects.mutate(written);
        }
      }}
    >
      <TextField
        label="Name of the hours"
        value={name}
        disabled={!isNew}
        onChange={(e) => setName(e.target.value)}
      />
      {!isNew && hours.usedBy.length > 0 && (
        <p className="text-sm text-ink2">
          The hours of {hours.usedBy.map((rule) => `“${rule}”`).join(', ')}. What you save counts for all of
          them.
        </p>
      )}
      <fieldset className="grid gap-1.5">
        <legend className="mb-1 text-sm text-ink2">
          Open from and to, such as 9:00–12:00, 13:00–17:00. Empty means closed. 22:00–6:00 ends on the day
          after.
        </legend>
        {WEEK.map((day) => (
          <div key={day} className="flex flex-wrap items-center gap-2">
            <label htmlFor={day} className="w-24">
              {dayName(day)}
            </label>
            <input
              id={day}
              className="h-8 w-64 rounded border border-line2 bg-sheet px-2"
              placeholder="closed"
              value={week[day] ?? ''}
              aria-invalid={unreadable.includes(day)}
              onChange={(e) => change({ ...week, [day]: e.target.value })}
            />
            {unreadable.includes(day) && <span className="text-sm text-clay">write it like 9:00–17:00</span>}
          </div>
        ))}
      </fieldset>
      <div>
        <label htmlFor="zone" className="mb-0.5 block text-sm text-ink2">
          Time zone
        </label>
        <input
          id="zone"
          list="zones"
          className="h-8 w-64 rounded border border-line2 bg-sheet px-2"
          value={zone}
          onChange={(e) => {
            setZone(e.target.value);
            effects.reset();
          }}
        />
        <datalist id="zones">
          {ZONES.map((one) => (
            <option key={one} value={one} />
          ))}
        </datalist>
      </div>
      {effects.isSuccess && <Effects of={effects.data} zone={zone} />}
      {effects.isError && <Trouble text={problemText(effects.error)} />}
      {saving.isError && <Trouble text={problemText(saving.error)} />}
      <div>
        <Button type="submit" look="go" disabled={!fits || saving.isPending || effects.isPending}>
          {hours.usedBy.length === 0 || effects.isSuccess ? 'Save the hours' : 'See what changes …'}
        </Button>
      </div>
    </form>
  );
}

function Effects({ of, zone }: { of: Schemas['Effect'][]; zone: string }) {
  return (
    <div role="status" className="rounded border border-line bg-ground px-3 py-2">
      <p className="font-semibold">With these hours</p>
      <ul className="mt-1 grid gap-1">
        {of.map((rule) => (
          <li key={rule.rule}>
            “{rule.name}” {activeInWords(zone, rule.wouldBeActive, rule.wouldChange)};{' '}
            <span className="text-ink2">as it is, it {activeInWords(zone, rule.active, rule.next)}</span>
          </li>
        ))}
      </ul>
    </div>
  );
}

function activeInWords(zone: string, active: boolean, next: string | undefined): string {
  if (next === undefined) {
    return active ? 'is always active' : 'is never active any more';
  }
  return active ? `is active until ${inZone(next, zone)}` : `rests until ${inZone(next, zone)}`;
}
