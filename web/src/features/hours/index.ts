export { Setup } from './parts/Setup';
export { useHours, useRuleTimes } from './queries';
