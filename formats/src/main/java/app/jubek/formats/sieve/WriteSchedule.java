package app.jubek.formats.sieve;

import app.jubek.core.schedule.Opening;
import app.jubek.core.schedule.Opening.Span;
import app.jubek.core.schedule.Period;
import app.jubek.core.schedule.Schedule;
import app.jubek.core.schedule.Schedule.Hours;
import app.jubek.core.schedule.Schedule.OnClosedDays;
import java.time.DayOfWeek;
import java.time.LocalTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** When a rule is active as tests of the current date (RFC 5260 §5), where they say exactly the same. */
final class WriteSchedule {
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm:ss");

    private final Text text;
    private final ServerClock clock;

    WriteSchedule(Text text, ServerClock clock) {
        this.text = text;
        this.clock = clock;
    }

    /**
     * The condition, and that it is the time for it.
     *
     * @throws Comparing.Unsupported naming what a script can't say of it
     */
    String within(Schedule schedule, String condition) {
        if (schedule.equals(Schedule.ALWAYS)) {
            return condition;
        }
        if (!clock.sameZone()) {
            throw new Comparing.Unsupported("the mail server's clock may show another time than the mailbox's");
        }
        if (schedule.recurrence().isPresent()) {
            throw new Comparing.Unsupported("a script knows no days that recur");
        }
        if (schedule.onClosedDays() != OnClosedDays.AS_HOURS_ARE) {
            throw new Comparing.Unsupported("a script knows no closed days");
        }
        List<String> tests = new ArrayList<>();
        if (!schedule.periods().isEmpty()) {
            tests.add(any(schedule.periods().stream().map(this::period)));
        }
        if (schedule.hours() != Hours.ALWAYS) {
            tests.add(hours(schedule));
        }
        tests.add(condition);
        text.needs("date");
        return all(tests.stream());
    }

    private String period(Period days) {
        return all(Stream.concat(
                days.first().map(first -> compared("ge", "date", first.toString())).stream(),
                days.last().map(last -> compared("le", "date", last.toString())).stream()));
    }

    private String hours(Schedule schedule) {
        Opening hours = clock.hours(schedule.of())
                .orElseThrow(() -> new Comparing.Unsupported(schedule.of()
                        .map(name -> "the hours \"" + name + "\" are not given")
                        .orElse("the opening hours are not given")));
        String open =
                hours.spans().isEmpty() ? "false" : any(hours.spans().stream().flatMap(this::span));
        return schedule.hours() == Hours.INSIDE ? open : "not " + open;
    }

    /** The part on its own day, and the one on the day after, if it goes on over midnight. */
    private Stream<String> span(Span span) {
        String begun = on(span.day(), compared("ge", "time", TIME.format(span.from())));
        if (span.from().isBefore(span.to())) {
            return Stream.of(all(Stream.of(begun, until(span.to()))));
        }
        return span.to().equals(LocalTime.MIDNIGHT)
                ? Stream.of(begun)
                : Stream.of(begun, on(span.day().plus(1), until(span.to())));
    }

    private String until(LocalTime end) {
        return compared("lt", "time", TIME.format(end));
    }

    private static String on(DayOfWeek day, String test) {
        return all(Stream.of("currentdate :is \"weekday\" \"" + day.getValue() % 7 + "\"", test));
    }

    private String compared(String relation, String piece, String value) {
        text.needs("relational");
        return "currentdate :value \"" + relation + "\" \"" + piece + "\" " + Text.quoted(value);
    }

    private static String all(Stream<String> tests) {
        return joined("allof", tests.toList());
    }

    private static String any(Stream<String> tests) {
        return joined("anyof", tests.toList());
    }

    private static String joined(String how, List<String> tests) {
        return tests.size() == 1 ? tests.get(0) : how + " (" + String.join(", ", tests) + ")";
    }
}
