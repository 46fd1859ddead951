/**
 * A mailbox's past mail in memory, and the evidence of the workbench.
 * Entry point: {@link app.jubek.server.pastmail.PastMail}.
 */
@NullMarked
package app.jubek.server.pastmail;

import org.jspecify.annotations.NullMarked;
