/**
 * What is done with a message by IMAP: marking, copying, moving, removing.
 * Entry point: {@link app.jubek.server.folders.ImapSteps}. It knows no queue.
 */
@NullMarked
package app.jubek.server.folders;

import org.jspecify.annotations.NullMarked;
