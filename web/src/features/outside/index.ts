export { Outside } from './parts/Outside';
export { useDemoClock } from './queries';
