export { AbsencePanel } from './parts/AbsencePanel';
export { AbsenceRow, NextAbsences } from './parts/AbsenceRow';
export { ReturnSummary } from './parts/ReturnSummary';
export { StandInPage } from './parts/StandInPage';
export { absenceOfRule, shortDays, standingInWords, type Absence } from './model';
export { usePanel, type Panel } from './usePanel';
export { useAbsences } from './queries';
