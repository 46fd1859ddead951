package app.jubek.formats.rulebook;

import app.jubek.core.schedule.Period;
import app.jubek.core.schedule.Recurrence;
import app.jubek.core.schedule.Schedule;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** When a rule is active, from JSON and to it. */
final class ScheduleJson {
    private ScheduleJson() {}

    static Optional<Schedule> read(Reading at) {
        at.only(Set.of("hours", "of", "closedDays", "first", "last", "further", "recurs"));
        String written = at.text("hours", Names.HOURS.of(Schedule.Hours.ALWAYS));
        Optional<Schedule.Hours> hours = Names.HOURS.find(written);
        at.check(hours.isPresent(), "hours", "must be one of " + String.join(", ", Names.HOURS.all()));
        Optional<String> of = at.has("of") ? Optional.of(at.text("of")) : Optional.empty();
        Optional<Schedule.OnClosedDays> closed =
                at.choice("closedDays", Schedule.OnClosedDays.values(), Schedule.OnClosedDays.AS_HOURS_ARE);
        List<Period> further = at.has("further") ? at.list("further", ScheduleJson::furtherPeriod) : List.of();
        Optional<Recurrence> recurs = at.optional("recurs", ScheduleJson::recurrence);
        Optional<Period> one = period(at);
        return at.attempt(() -> new Schedule(
                hours.orElse(Schedule.Hours.ALWAYS),
                of,
                closed.orElse(Schedule.OnClosedDays.AS_HOURS_ARE),
                Stream.concat(one.stream(), further.stream()).toList(),
                recurs));
    }

    private static Optional<Period> furtherPeriod(Reading at) {
        at.only(Set.of("first", "last"));
        at.check(at.has("first") || at.has("last"), "", "needs a first or a last day");
        return period(at);
    }

    private static Optional<Period> period(Reading at) {
        Optional<LocalDate> first = day(at, "first");
        Optional<LocalDate> last = day(at, "last");
        return at.attempt(() -> new Period(first, last));
    }

    private static Optional<Recurrence> recurrence(Reading at) {
        at.only(Set.of("rule", "from"));
        String rule = at.text("rule");
        at.check(at.has("from"), "from", "is missing: say from which day on it recurs");
        return day(at, "from").flatMap(from -> at.attempt(() -> new Recurrence(rule, from)));
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
        schedule.of().ifPresent(name -> node.put("of", name));
        if (schedule.onClosedDays() != Schedule.OnClosedDays.AS_HOURS_ARE) {
            node.put("closedDays", Reading.word(schedule.onClosedDays()));
        }
        schedule.periods().stream().findFirst().ifPresent(period -> write(node, period));
        schedule.periods().stream()
                .skip(1)
                .forEach(period -> write(node.withArray("further").addObject(), period));
        schedule.recurrence()
                .ifPresent(days -> node.putObject("recurs")
                        .put("rule", days.rule())
                        .put("from", days.first().toString()));
        return node;
    }

    private static void write(ObjectNode node, Period period) {
        period.first().ifPresent(day -> node.put("first", day.toString()));
        period.last().ifPresent(day -> node.put("last", day.toString()));
    }
}
