export { AtWork } from './parts/AtWork';
