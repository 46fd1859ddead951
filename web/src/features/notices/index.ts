export { Notices } from './Notices';
export { playSound } from './sounds';
