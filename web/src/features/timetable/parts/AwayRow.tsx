import type { ReactNode } from 'react';
import { AbsenceRow, NextAbsences, shortDays, standingInWords, type Panel } from '../../absence';
import { useToday } from '../../mailbox';
import { PeriodBar } from './PeriodBar';
import { Row } from './Row';

interface Props {
  panel: Panel;
  days: string[];
  behind: ReactNode;
}

/** When one is away: drawn, moved, and opened. */
export function AwayRow({ panel, days, behind }: Props) {
  const today = useToday();
  const from = days[0] ?? today;
  const isNew = panel.form !== undefined && panel.open === undefined;
  return (
    <Row
      name="My absence"
      told={<span className="hidden columns:inline">drag over the days to plan one</span>}
      next={<NextAbsences of={panel.absences.filter(({ form }) => form.last >= from)} onOpen={panel.show} />}
    >
      {behind}
      <AbsenceRow days={days} onDrawn={(drawn) => panel.show(undefined, drawn)}>
        {panel.absences.map((one) => {
          const form = panel.open?.id === one.id && panel.form ? panel.form : one.form;
          return (
            <PeriodBar
              key={one.id}
              name="Away"
              days={form}
              from={from}
              shown={days.length}
              changed={form.first !== one.form.first || form.last !== one.form.last}
              text={[shortDays(form, today), standingInWords(one)].filter(Boolean).join(' · ')}
              onChange={(moved) => panel.show(one, moved)}
              onOpen={() => panel.show(one)}
            />
          );
        })}
        {isNew && panel.form && (
          <PeriodBar
            name="Away, not planned yet"
            days={panel.form}
            from={from}
            shown={days.length}
            changed
            text={shortDays(panel.form, today)}
            onChange={(moved) => panel.show(undefined, moved)}
          />
        )}
      </AbsenceRow>
    </Row>
  );
}
