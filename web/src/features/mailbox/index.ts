export {
  CurrentMailbox,
  setEvidenceDays,
  switchMailbox,
  useChosen,
  useEvidenceDays,
  useMailboxId,
  WINDOWS,
} from './currentMailbox';
export { Done, useDone, type DoneLine } from './done';
export { LookingThrough } from './parts/LookingThrough';
export { ShortDate } from './parts/ShortDate';
export { dayIn, useNow, useToday } from './now';
export { useMailbox, usePastMail } from './queries';
export { pastMailInWords } from './pastMail';
export { watchingInWords } from './watching';
