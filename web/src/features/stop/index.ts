export { AskToStop } from './parts/AskToStop';
export { StopStrip } from './parts/StopStrip';
export { useStop } from './queries';
