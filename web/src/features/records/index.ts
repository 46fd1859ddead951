export { Records } from './parts/Records';
export { ACTS } from './acts';
export { isOverLimit, isToApprove } from './waiting';
export { useAct, useBroughtBack, useRecords, useUnanswered, useWaiting, type Act } from './queries';
