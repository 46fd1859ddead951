export { HandedOnPage } from './parts/HandedOnPage';
