/**
 * Sessions with mail servers that send bytes as they are.
 * Entry point: {@link app.jubek.server.smtp.SmtpSessions}. It knows no step and no rule.
 */
@NullMarked
package app.jubek.server.smtp;

import org.jspecify.annotations.NullMarked;
