export { Trials } from './parts/Trials';
export { TrialsOfRule } from './parts/TrialsOfRule';
export { TrialsOfPerson } from './parts/TrialsOfPerson';
export { TrialsRefused } from './parts/TrialsRefused';
export { KeepAs } from './parts/KeepAs';
export { trialsAgainst } from './model';
export { useKeepExamples, useTrialCounts } from './queries';
