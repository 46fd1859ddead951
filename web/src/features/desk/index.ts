export { Desk } from './parts/Desk';
