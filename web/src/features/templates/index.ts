export { OwnNote, OwnText } from './parts/OwnText';
export { Templates } from './parts/Templates';
export { useSaveTemplate, useTemplateNames, useTemplates } from './queries';
export { TemplateForm } from './parts/TemplateForm';
export { useDocuments } from './documents';
