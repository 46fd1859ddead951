import { useEffect, useRef, useState } from 'react';
import { problemText } from '../../../api/problem';
import { dayOfYear } from '../../../lib/dates';
import { Button } from '../../../ui/Button';
import { Trouble } from '../../../ui/States';
import { useDone, useToday } from '../../mailbox';
import { isWhole, shortDays, standingInWords, type Absence, type Form } from '../model';
import { NEW, useEndAbsence, useKeepAbsence } from '../queries';
import { AnswerFields } from './AnswerFields';
import { LookedBack } from './LookedBack';
import { TakingOverFields } from './TakingOverFields';

interface Props {
  /** As it is planned; absent for a new one. */
  absence: Absence | undefined;
  form: Form;
  /** What has changed meanwhile stays. */
  onChange: (changed: (now: Form) => Form) => void;
  onClose: () => void;
}

/** Being away as one sheet: when, who is answered, who stands in, and what it would have done lately. */
export function AbsencePanel({ absence, form, onChange, onClose }: Props) {
  const today = useToday();
  const { tell } = useDone();
  const keeping = useKeepAbsence();
  const ending = useEndAbsence();
  const id = absence?.id ?? NEW;
  const settled = useSettled(form);
  const panel = useRef<HTMLElement>(null);
  useEffect(() => {
    // Not every page in a test can scroll.
    panel.current?.scrollIntoView?.({ block: 'nearest' });
  }, []);
  const unchanged = absence !== undefined && JSON.stringify(form) === JSON.stringify(absence.form);
  const days = shortDays(form, today);
  const keep = () => {
    keeping
      .mutateAsync({ id, form })
      .then(() => {
        tell({ text: absence ? `Changed: away ${days}.` : `Planned: away ${days}.` });
        onClose();
      })
      .catch(() => undefined);
  };
  const end = () => {
    ending
      .mutateAsync(id)
      .then(() => {
        // What happened meanwhile takes the place of this sheet.
        if (absence?.under) {
          tell({ text: 'Welcome back: nobody is answered any more.' });
        } else {
          tell({ text: 'Called off.' });
          onClose();
        }
      })
      .catch(() => undefined);
  };
  const failed = keeping.error ?? ending.error;
  return (
    <section
      ref={panel}
      data-region
      aria-label="Being away"
      className="mt-3 rounded border border-line bg-sheet px-4 py-3"
    >
      <div className="flex flex-wrap items-baseline gap-3">
        <h2 className="grow font-bold">
          {absence ? 'Away' : 'I’ll be away'} {dayOfYear(form.first, today)}
          {form.last !== form.first && ` to ${dayOfYear(form.last, today)}`}
        </h2>
        {absence && <span className="text-sm text-ink2">{standingInWords(absence)}</span>}
        <Button small look="quiet" onClick={onClose}>
          Close
        </Button>
      </div>
      <div className="mt-2 grid gap-x-8 gap-y-4 columns:grid-cols-2">
        <div className="grid content-start gap-3">
          <fieldset className="grid grid-cols-[92px_minmax(0,1fr)] items-center gap-x-3">
            <legend className="sr-only">When</legend>
            <span className="text-ink2">away</span>
            <span className="flex flex-wrap items-center gap-2">
              <DayField
                label="first day"
                value={form.first}
                onChange={(first) =>
                  onChange((now) => ({ ...now, first, last: now.last < first ? first : now.last }))
                }
              />
              to
              <DayField
                label="last day"
                value={form.last}
                onChange={(last) => onChange((now) => ({ ...now, last }))}
              />
              <span className="text-sm text-ink2">both days whole</span>
            </span>
          </fieldset>
          <AnswerFields form={form} onChange={onChange} />
          <TakingOverFields form={form} onChange={onChange} />
        </div>
        <div className="grid content-start gap-3">
          <LookedBack id={id} form={settled} />
          {failed && <Trouble text={problemText(failed)} />}
          <div className="flex flex-wrap gap-2">
            <Button look="go" disabled={!isWhole(form) || unchanged || keeping.isPending} onClick={keep}>
              {absence ? 'Save the change' : 'Plan it'}
            </Button>
            {absence && (
              <Button look="danger" disabled={ending.isPending} onClick={end}>
                {absence.under ? 'I am back' : 'Call it off'}
              </Button>
            )}
          </div>
        </div>
      </div>
    </section>
  );
}

interface DayProps {
  label: string;
  value: string;
  onChange: (day: string) => void;
}

function DayField({ label, value, onChange }: DayProps) {
  return (
    <input
      type="date"
      aria-label={label}
      className="h-8 rounded border border-line2 bg-sheet px-2"
      value={value}
      onChange={(e) => e.target.value && onChange(e.target.value)}
    />
  );
}

const PAUSE = 300;

/** What is being filled in, once nothing changes for a moment. */
function useSettled(form: Form): Form {
  const [settled, setSettled] = useState(form);
  useEffect(() => {
    const soon = setTimeout(() => setSettled(form), PAUSE);
    return () => clearTimeout(soon);
  }, [form]);
  return settled;
}
