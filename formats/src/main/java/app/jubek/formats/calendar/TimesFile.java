package app.jubek.formats.calendar;

import app.jubek.core.schedule.ActiveSpan;
import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import biweekly.property.DateEnd;
import biweekly.property.DateStart;
import biweekly.util.DateTimeComponents;
import biweekly.util.ICalDate;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.Date;
import java.util.List;

/**
 * Times as a calendar (RFC 5545), one event for each: by whole days where it begins and ends at midnight, else by the
 * clock of UTC, which needs no description of a time zone.
 */
public final class TimesFile {
    private TimesFile() {}

    /**
     * @param uid that no other event has, and that stays the same when it is written again (RFC 5545 §3.8.4.7)
     */
    public record Time(String uid, String name, ActiveSpan span) {}

    /**
     * @param zone whose midnights make whole days
     * @param written when
     */
    public static String of(List<Time> times, ZoneId zone, Instant written) {
        ICalendar calendar = new ICalendar();
        calendar.setProductId("-//Jubek//Timetable//EN");
        times.forEach(time -> calendar.addEvent(event(time, zone, written)));
        return Biweekly.write(calendar).go();
    }

    private static VEvent event(Time time, ZoneId zone, Instant written) {
        VEvent event = new VEvent();
        event.setUid(time.uid());
        event.setDateTimeStamp(Date.from(written));
        event.setSummary(time.name());
        ZonedDateTime from = time.span().from().atZone(zone);
        ZonedDateTime until = time.span().until().atZone(zone);
        boolean whole = isMidnight(from) && isMidnight(until);
        event.setDateStart(new DateStart(whole ? day(from.toLocalDate()) : instant(from)));
        event.setDateEnd(new DateEnd(whole ? day(until.toLocalDate()) : instant(until)));
        return event;
    }

    private static boolean isMidnight(ZonedDateTime at) {
        return at.toLocalTime().equals(LocalTime.MIDNIGHT);
    }

    private static ICalDate day(LocalDate day) {
        return new ICalDate(new DateTimeComponents(day.getYear(), day.getMonthValue(), day.getDayOfMonth()), false);
    }

    private static ICalDate instant(ZonedDateTime at) {
        return new ICalDate(Date.from(at.toInstant()), true);
    }
}
