export { Incoming } from './parts/Incoming';
export { MessageSheet } from './parts/MessageSheet';
export { doneInWords, stateInWords } from './model';
