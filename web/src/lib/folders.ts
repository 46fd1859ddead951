export const INBOX = 'INBOX';

/** A folder of this mailbox or of another one, as it follows "file in". */
export function folderInWords(into: { folder: string; mailbox?: string }): string {
  const folder = into.folder === INBOX ? 'the inbox' : into.folder || '…';
  return into.mailbox === undefined ? folder : `${folder} of ${into.mailbox}`;
}
