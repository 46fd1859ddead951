export { useBeginRule, useDrafts, useDropDraft, useKeepDraft, type Begun, type KeptDraft } from './queries';
