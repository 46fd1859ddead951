/**
 * Looks once a week through each mailbox for changes in the mail of its rules, and keeps what was found. Entry point: {@link
 * app.jubek.server.drift.DriftLooks}.
 */
@NullMarked
package app.jubek.server.drift;

import org.jspecify.annotations.NullMarked;
