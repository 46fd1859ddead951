export { CatchUps } from './parts/CatchUps';
export { isOpen, rulesInWords, standingInWords } from './model';
export { useCatchUps } from './queries';
