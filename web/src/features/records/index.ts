export { Records } from './parts/Records';
export { ACTS } from './acts';
export { useAct, useRecords, useUnanswered, useWaiting, type Act } from './queries';
