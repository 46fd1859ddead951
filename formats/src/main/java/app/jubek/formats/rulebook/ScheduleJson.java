package app.jubek.formats.rulebook;

import app.jubek.core.schedule.Period;
import app.jubek.core.schedule.Schedule;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.Optional;
import java.util.Set;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** When a rule is active, from JSON and to it. */
final class ScheduleJson {
    private ScheduleJson() {}

    static Optional<Schedule> read(Reading at) {
        at.only(Set.of("hours", "first", "last"));
        String written = at.text("hours", Names.HOURS.of(Schedule.Hours.ALWAYS));
        Optional<Schedule.Hours> hours = Names.HOURS.find(written);
        at.check(hours.isPresent(), "hours", "must be one of " + String.join(", ", Names.HOURS.all()));
        Optional<LocalDate> first = day(at, "first");
        Optional<LocalDate> last = day(at, "last");
        return at.attempt(() -> new Schedule(hours.orElse(Schedule.Hours.ALWAYS), new Period(first, last)));
    }

    private static Optional<LocalDate> day(Reading at, String member) {
        if (!at.has(member)) {
            return Optional.empty();
        }
        try {
            return Optional.of(LocalDate.parse(at.text(member)));
        } catch (DateTimeException notOne) {
            at.fault(member, "must be a day like 2026-12-24");
            return Optional.empty();
        }
    }

    static ObjectNode write(Schedule schedule) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("hours", Names.HOURS.of(schedule.hours()));
        schedule.period().first().ifPresent(day -> node.put("first", day.toString()));
        schedule.period().last().ifPresent(day -> node.put("last", day.toString()));
        return node;
    }
}
