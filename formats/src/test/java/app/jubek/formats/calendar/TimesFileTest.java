package app.jubek.formats.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.schedule.ActiveSpan;
import java.io.StringReader;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.stream.IntStream;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.Component;
import net.fortuna.ical4j.model.Property;
import net.fortuna.ical4j.model.component.VEvent;
import org.junit.jupiter.api.Test;

class TimesFileTest {
    private static final ZoneId STOCKHOLM = ZoneId.of("Europe/Stockholm");

    private static ActiveSpan span(String from, String until) {
        return new ActiveSpan(Instant.parse(from), Instant.parse(until));
    }

    private static List<VEvent> read(List<TimesFile.Time> times) throws Exception {
        String written = TimesFile.of(times, STOCKHOLM, Instant.parse("2026-03-01T12:00:00Z"));
        return new CalendarBuilder()
                .build(new StringReader(written)).getComponents(Component.VEVENT).stream()
                        .map(VEvent.class::cast)
                        .toList();
    }

    private static String value(VEvent event, String name) {
        return event.getProperties().stream()
                .filter(property -> property.getName().equals(name))
                .map(Property::getValue)
                .findFirst()
                .orElse("");
    }

    /** Over the change of the clocks on 29 March 2026; read by ical4j. */
    @Test
    void whatBeginsAndEndsAtMidnightIsWrittenByItsDays() throws Exception {
        VEvent away = read(List.of(new TimesFile.Time(
                        "1", "Away; until Friday, \\ and on", span("2026-03-27T23:00:00Z", "2026-04-03T22:00:00Z"))))
                .get(0);
        assertThat(value(away, "SUMMARY")).isEqualTo("Away; until Friday, \\ and on");
        assertThat(value(away, "DTSTART")).isEqualTo("20260328");
        assertThat(value(away, "DTEND")).isEqualTo("20260404");
    }

    @Test
    void otherTimesAreWrittenToTheMinuteAndKeepTheirIds() throws Exception {
        List<TimesFile.Time> nights = IntStream.range(0, 3)
                .mapToObj(i ->
                        new TimesFile.Time("night-" + i, "Night", span("2026-03-29T00:30:00Z", "2026-03-29T05:00:00Z")))
                .toList();
        List<VEvent> read = read(nights);
        assertThat(read).extracting(event -> value(event, "UID")).containsExactly("night-0", "night-1", "night-2");
        assertThat(value(read.get(0), "DTSTART")).isEqualTo("20260329T003000Z");
        assertThat(value(read.get(0), "DTEND")).isEqualTo("20260329T050000Z");
    }
}
