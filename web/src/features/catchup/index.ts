export { CatchUps } from './parts/CatchUps';
