export { Incoming } from './parts/Incoming';
export { MessageSheet } from './parts/MessageSheet';
export { stateInWords } from './model';
