export {
  MailboxInHand,
  setEvidenceDays,
  takeInHand,
  useChosen,
  useEvidenceDays,
  useMailboxId,
  WINDOWS,
} from './inHand';
export { Done, useDone, type DoneLine } from './done';
export { LookingThrough } from './parts/LookingThrough';
export { useMailbox, usePastMail } from './queries';
export { pastMailInWords } from './pastMail';
export { watchingInWords } from './watching';
