export { Workbench } from './parts/Workbench';
export { keptRule, placed } from './model';
