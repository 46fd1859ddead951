/**
 * Messages: stored, decided and planned in one short transaction.
 * Entry point: {@link app.jubek.server.intake.Messages}; what the watchers fetch comes by {@link
 * app.jubek.server.watching.Arrivals}.
 */
@NullMarked
package app.jubek.server.intake;

import org.jspecify.annotations.NullMarked;
