export { Workbench } from './parts/Workbench';
