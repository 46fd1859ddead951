export { MailboxInHand, setEvidenceDays, useEvidenceDays, useMailboxId, WINDOWS } from './inHand';
export { Done, useDone, type DoneLine } from './done';
export { useEvidenceSize, useMailbox } from './queries';
export { watchingInWords } from './watching';
