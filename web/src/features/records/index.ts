export { Records } from './parts/Records';
export { ACTS } from './acts';
export { isOverLimit } from './waiting';
export { useAct, useBroughtBack, useRecords, useUnanswered, useWaiting, type Act } from './queries';
