export { Templates } from './parts/Templates';
export { useTemplates } from './queries';
