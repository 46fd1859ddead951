export { Incoming } from './parts/Incoming';
export { MessageSheet } from './parts/MessageSheet';
export { doneInWords, stateInWords, wouldBe } from './model';
export { useExplained, useMessage } from './queries';
