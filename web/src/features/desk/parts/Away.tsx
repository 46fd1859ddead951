import { Link } from 'react-router';
import { shortDays, standingInWords, useAbsences, type Absence } from '../../absence';
import { useToday } from '../../mailbox';
import { daysTo, inDays } from '../model';
import { NeedRow } from './NeedRow';

/** A substitute who declines or says nothing is a matter of the last two days. */
const SOON = 2;
const SHOWN_AFTER = 7;

/** Absences whose substitute does not stand in, two days before they begin and while they last. */
export function useUncovered(): Absence[] {
  const today = useToday();
  const absences = useAbsences().data?.absences ?? [];
  return absences.filter(
    ({ form, over, findings }) =>
      !over &&
      daysTo(form.first, today) <= SOON &&
      findings.some(({ code }) => code.startsWith('ABSENCE_SUBSTITUTE_')),
  );
}

export function Uncovered({ of }: { of: Absence }) {
  const today = useToday();
  return (
    <NeedRow
      of="HELD"
      title={
        <Link className="hover:underline" to={`/timetable?away=${of.id}`}>
          Away {shortDays(of.form, today)}
        </Link>
      }
    >
      {of.findings.find(({ code }) => code.startsWith('ABSENCE_SUBSTITUTE_'))?.words}
    </NeedRow>
  );
}

/** Absences that begin soon, last, or ended in the last days; when, and what there is to know. */
export function useAwaySoon(): { id: string; when: string; to: string; words: string }[] {
  const today = useToday();
  const absences = useAbsences().data?.absences ?? [];
  return absences
    .filter(({ form }) => daysTo(form.first, today) <= 14 && daysTo(form.last, today) >= -SHOWN_AFTER)
    .map((one) => {
      const days = shortDays(one.form, today);
      return one.over
        ? { id: one.id, when: 'back', to: `/timetable?back=${one.id}`, words: `what happened ${days}` }
        : {
            id: one.id,
            when: one.under ? 'away' : inDays(daysTo(one.form.first, today)),
            to: `/timetable?away=${one.id}`,
            words: [`away ${days}`, standingInWords(one)].filter(Boolean).join(' · '),
          };
    });
}
