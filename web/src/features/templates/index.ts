export { Templates } from './parts/Templates';
export { useTemplateNames, useTemplates } from './queries';
export { NewTemplateForm } from './parts/NewTemplateForm';
export { useDocuments } from './documents';
