export { useComposing } from './queries';
export { DraftText } from './parts/DraftText';
export { DraftNote } from './parts/DraftNote';
export { Instruction } from './parts/Instruction';
