/**
 * Closed days from iCalendar files (RFC 5545), read by biweekly. Entry point: {@link
 * app.jubek.formats.calendar.ClosedDaysFile}.
 */
@NullMarked
package app.jubek.formats.calendar;

import org.jspecify.annotations.NullMarked;
