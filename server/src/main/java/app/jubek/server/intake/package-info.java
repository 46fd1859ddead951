/**
 * Messages: stored, decided and planned in one short transaction.
 * Entry point: {@link app.jubek.server.intake.Intake}.
 */
@NullMarked
package app.jubek.server.intake;

import org.jspecify.annotations.NullMarked;
