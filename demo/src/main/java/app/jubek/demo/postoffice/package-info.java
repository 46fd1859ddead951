/**
 * The simulated post office: SMTP and IMAP on loopback for the demo and the tests, a process of its own. It keeps its
 * mail, UIDs and UIDVALIDITY over restarts. Entry point: {@link app.jubek.demo.postoffice.PostOffice}.
 */
@NullMarked
package app.jubek.demo.postoffice;

import org.jspecify.annotations.NullMarked;
