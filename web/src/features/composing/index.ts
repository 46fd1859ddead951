export { useComposing } from './queries';
export { ComposedText } from './parts/ComposedText';
export { ComposedNote } from './parts/ComposedNote';
export { Instruction } from './parts/Instruction';
