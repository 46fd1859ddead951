export { LoopRefused } from './parts/LoopRefused';
export { loopOf } from './model';
export { WhereMailGoes } from './parts/WhereMailGoes';
