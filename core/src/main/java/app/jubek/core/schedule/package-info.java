/**
 * When a rule is active: opening hours, periods, and what changes next.
 * Entry point: {@link app.jubek.core.schedule.Schedule}.
 */
@NullMarked
package app.jubek.core.schedule;

import org.jspecify.annotations.NullMarked;
