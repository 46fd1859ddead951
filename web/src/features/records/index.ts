export { Records } from './parts/Records';
export { useWaiting } from './queries';
