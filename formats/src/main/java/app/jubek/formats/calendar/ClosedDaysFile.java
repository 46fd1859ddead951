package app.jubek.formats.calendar;

import app.jubek.formats.rulebook.Fault;
import app.jubek.formats.rulebook.FormatException;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import biweekly.io.ParseWarning;
import biweekly.io.text.ICalReader;
import java.io.IOException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * The events of a calendar that take whole days. Events with a time of day, and cancelled ones, are left out; the file is
 * refused when anything that says when an event is can't be read.
 */
public final class ClosedDaysFile {
    /** A calendar of all holidays of a country for thirty years is far smaller. */
    public static final int LARGEST = 1 << 20;

    private static final int MOST_EVENTS = 2_000;
    private static final int MOST_DAYS = 20_000;
    private static final String NAMED = "UID:";
    private static final Set<String> SAYS_WHEN =
            Set.of("DTSTART", "DTEND", "DURATION", "RRULE", "RDATE", "EXDATE", "RECURRENCE-ID");

    private ClosedDaysFile() {}

    /** A day on which a place is closed, and why. */
    public record ClosedDay(LocalDate day, String name) {}

    /**
     * What a file has in a time.
     *
     * @param leftOut events that take no whole days
     */
    public record ClosedDays(List<ClosedDay> days, int leftOut) {
        public ClosedDays {
            days = List.copyOf(days);
        }
    }

    /**
     * @param from the first day that is looked at
     * @param until the first day that is not
     * @throws FormatException naming the line and what is wrong there
     */
    public static ClosedDays read(String text, LocalDate from, LocalDate until) {
        if (text.length() > LARGEST) {
            throw refused("", "the file is larger than 1 MB: keep the closed days in a calendar of their own");
        }
        List<VEvent> events = events(text);
        List<DayEvent> whole = new ArrayList<>();
        Map<String, String> lines = linesOfEvents(text);
        int leftOut = 0;
        for (VEvent event : events) {
            String uid = event.getUid() == null ? "" : event.getUid().getValue();
            Optional<DayEvent> one = DayEvent.of(event, lines.getOrDefault(uid, ""));
            if (one.isEmpty() || one.get().isCancelled()) {
                leftOut++;
            }
            one.ifPresent(whole::add);
        }
        Map<String, Set<LocalDate>> moved = whole.stream()
                .filter(event -> event.instead().isPresent())
                .collect(Collectors.groupingBy(
                        DayEvent::uid,
                        Collectors.mapping(event -> event.instead().orElseThrow(), Collectors.toSet())));
        List<ClosedDay> days = new ArrayList<>();
        for (DayEvent event : whole) {
            event.days(moved.getOrDefault(event.uid(), Set.of()), from, until)
                    .forEach(day -> days.add(new ClosedDay(day, event.name())));
            if (days.size() > MOST_DAYS) {
                throw refused("", "the file closes more than " + MOST_DAYS + " days: take some calendars out of it");
            }
        }
        return new ClosedDays(days.stream().distinct().sorted(DayEvent.BY_DAY).toList(), leftOut);
    }

    private static List<VEvent> events(String text) {
        List<VEvent> events = new ArrayList<>();
        boolean any = false;
        try (ICalReader reader = new ICalReader(text)) {
            ICalendar calendar = reader.readNext();
            while (calendar != null) {
                any = true;
                reader.getWarnings().stream()
                        .filter(ClosedDaysFile::matters)
                        .findFirst()
                        .ifPresent(warning -> {
                            throw refused(
                                    "line " + warning.getLineNumber(),
                                    warning.getPropertyName() + " can’t be read: " + warning.getMessage());
                        });
                events.addAll(calendar.getEvents());
                calendar = reader.readNext();
            }
        } catch (IOException unreadable) {
            throw refused("", "it can’t be read: " + unreadable.getMessage());
        }
        long lines = text.lines().count();
        if (!any) {
            throw refused("line 1", "it is no iCalendar file: it should begin with BEGIN:VCALENDAR");
        }
        if (!text.stripTrailing().endsWith("END:VCALENDAR")) {
            throw refused("line " + lines, "the file breaks off: END:VCALENDAR is missing");
        }
        if (events.size() > MOST_EVENTS) {
            throw refused("", "it has more than " + MOST_EVENTS + " events: keep the closed days apart");
        }
        return events;
    }

    private static boolean matters(ParseWarning warning) {
        return warning.getPropertyName() != null && SAYS_WHEN.contains(warning.getPropertyName());
    }

    /** Where each event is named, for what is wrong with it as a whole. */
    private static Map<String, String> linesOfEvents(String text) {
        Map<String, String> lines = new HashMap<>();
        int number = 0;
        for (String line : (Iterable<String>) text.lines()::iterator) {
            number++;
            if (line.startsWith(NAMED)) {
                lines.putIfAbsent(line.substring(NAMED.length()), "line " + number);
            }
        }
        return lines;
    }

    static FormatException refused(String where, String what) {
        return new FormatException(List.of(new Fault(where, what)));
    }
}
