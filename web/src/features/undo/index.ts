export { UndoSheet, type UndoChoice } from './parts/UndoSheet';
