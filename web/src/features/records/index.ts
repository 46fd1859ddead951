export { Records } from './parts/Records';
export { ACTS } from './acts';
export { useAct, useRecords, useWaiting } from './queries';
