export { Trials } from './parts/Trials';
export { TrialsOfRule } from './parts/TrialsOfRule';
export { TrialsOfPerson } from './parts/TrialsOfPerson';
export { TrialsRefused } from './parts/TrialsRefused';
export { KeepAs } from './parts/KeepAs';
export { Squares } from './parts/Squares';
export { SENT_BY, squaresOf, trialsAgainst, type RuleTrials } from './model';
export { useKeepExamples, useTrialCounts, useTrials } from './queries';
