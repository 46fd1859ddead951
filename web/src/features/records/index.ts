export { Records } from './parts/Records';
