export { Rehearse } from './parts/Rehearse';
