/** Files of many messages (RFC 4155). Entry point: {@link app.jubek.formats.mbox.MailboxFile}. */
@NullMarked
package app.jubek.formats.mbox;

import org.jspecify.annotations.NullMarked;
