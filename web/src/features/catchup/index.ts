export { CatchUps } from './parts/CatchUps';
export { Acts as CatchUpActs } from './parts/OneCatchUp';
export { aboutInWords, isOpen, rulesInWords, standingInWords } from './model';
export { useCatchUps, useChangeCatchUp, type CatchUp } from './queries';
