/** The simulated post office's way of speaking IMAP: GreenMail's, quick in folders of thousands of messages. */
@NullMarked
package app.jubek.demo.imap;

import org.jspecify.annotations.NullMarked;
