/**
 * What needs a person, what was done since the last visit, reminders and notices.
 * Entry point: {@link app.jubek.server.desk.Reminders}.
 */
@NullMarked
package app.jubek.server.desk;

import org.jspecify.annotations.NullMarked;
