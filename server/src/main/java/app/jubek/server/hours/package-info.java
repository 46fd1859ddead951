/**
 * Hours with a name and calendars of closed days, shared by the rules of a mailbox; when each rule is active next. Entry
 * points: {@link app.jubek.server.hours.HoursController}, {@link app.jubek.server.hours.ClosedDays}.
 */
@NullMarked
package app.jubek.server.hours;

import org.jspecify.annotations.NullMarked;
