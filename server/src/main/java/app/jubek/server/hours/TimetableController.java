package app.jubek.server.hours;

import app.jubek.core.absence.Absence;
import app.jubek.core.rule.Rule;
import app.jubek.core.schedule.ActiveSpan;
import app.jubek.core.schedule.Opening;
import app.jubek.core.schedule.Period;
import app.jubek.core.schedule.Schedule;
import app.jubek.core.wording.Statement;
import app.jubek.formats.calendar.ClosedDaysFile;
import app.jubek.formats.calendar.TimesFile;
import app.jubek.server.absence.Absences;
import app.jubek.server.account.Allowed;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.Refused;
import app.jubek.server.rulebook.RuleBooks;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** When rules are active, hours open and days closed, over some weeks. */
@RestController
class TimetableController {
    private static final int MOST_DAYS = 400;
    private static final int MOST_SPANS = 1_500;
    private static final int MOST_EVENTS = 400;
    private static final Schedule OPEN = new Schedule(Schedule.Hours.INSIDE, Period.OPEN);

    private final Mailboxes mailboxes;
    private final RuleBooks books;
    private final ClosedDays closed;
    private final Absences absences;
    private final Clock clock;

    TimetableController(Mailboxes mailboxes, RuleBooks books, ClosedDays closed, Absences absences, Clock clock) {
        this.mailboxes = mailboxes;
        this.books = books;
        this.closed = closed;
        this.absences = absences;
        this.clock = clock;
    }

    /**
     * @param next when it becomes active or rests; empty when it never does within ten years
     */
    record RuleRow(
            String rule,
            String name,
            boolean on,
            Statement told,
            boolean active,
            Optional<Instant> next,
            List<ActiveSpan> spans) {}

    /**
     * @param name empty for the opening hours of the mailbox
     */
    record HoursRow(String name, String zone, boolean open, Optional<Instant> next, List<ActiveSpan> spans) {}

    record ClosedRow(String name, List<ClosedDaysFile.ClosedDay> days, Optional<ClosedDaysFile.ClosedDay> next) {}

    record TimetableView(
            String zone,
            Instant now,
            Instant from,
            Instant until,
            List<RuleRow> rules,
            List<HoursRow> hours,
            List<ClosedRow> closed) {}

    @GetMapping("/api/mailboxes/{mailbox}/timetable")
    TimetableView timetable(@Allowed UUID mailbox, @RequestParam LocalDate from, @RequestParam int days) {
        if (days < 1 || days > MOST_DAYS) {
            throw Refused.invalid("A timetable shows 1 to " + MOST_DAYS + " days.", List.of());
        }
        Opening opening = mailboxes.find(mailbox).opening();
        Stretch stretch = new Stretch(
                opening,
                from.atStartOfDay(opening.zone()).toInstant(),
                from.plusDays(days).atStartOfDay(opening.zone()).toInstant());
        LocalDate today = LocalDate.ofInstant(clock.instant(), opening.zone());
        return new TimetableView(
                opening.zone().getId(),
                clock.instant(),
                stretch.from(),
                stretch.until(),
                books.current(mailbox).book().rules().stream()
                        .filter(rule -> !rule.equals(rule.always()))
                        .map(rule -> row(rule, stretch))
                        .toList(),
                Stream.concat(
                                Stream.of(row("", opening, stretch)),
                                opening.others().keySet().stream()
                                        .sorted()
                                        .map(name ->
                                                row(name, opening.named(name).orElseThrow(), stretch)))
                        .toList(),
                closed.of(mailbox, from.isBefore(today) ? from : today).stream()
                        .map(calendar -> row(calendar, from, from.plusDays(days), today))
                        .toList());
    }

    /** Absences, and when rules that are on are active, from today on for a year, as iCalendar (RFC 5545). */
    @GetMapping(value = "/api/mailboxes/{mailbox}/timetable/calendar", produces = "text/calendar")
    ResponseEntity<String> timetableAsCalendar(@Allowed UUID mailbox) {
        Opening opening = mailboxes.find(mailbox).opening();
        Instant now = clock.instant();
        ZonedDateTime today = now.atZone(opening.zone()).truncatedTo(ChronoUnit.DAYS);
        Stretch year =
                new Stretch(opening, today.toInstant(), today.plusYears(1).toInstant());
        Stream<TimesFile.Time> away = absences.comingUp(mailbox).stream()
                .map(each -> new TimesFile.Time("absence-" + each.id(), "Away", whole(each, opening.zone())));
        Stream<TimesFile.Time> rules = books.current(mailbox).book().rules().stream()
                .filter(rule -> rule.on() && !rule.equals(rule.always()))
                .flatMap(rule -> year.of(rule.schedule(), opening).stream()
                        .limit(MOST_EVENTS)
                        .map(span -> new TimesFile.Time(
                                rule.id().value() + "-" + span.until().getEpochSecond(), rule.name(), span)));
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("timetable.ics")
                                .build()
                                .toString())
                .contentType(new MediaType("text", "calendar", StandardCharsets.UTF_8))
                .body(TimesFile.of(Stream.concat(away, rules).toList(), opening.zone(), now));
    }

    private static ActiveSpan whole(Absence absence, ZoneId zone) {
        return new ActiveSpan(
                absence.first().atStartOfDay(zone).toInstant(),
                absence.last().plusDays(1).atStartOfDay(zone).toInstant());
    }

    private record Stretch(Opening opening, Instant from, Instant until) {
        List<ActiveSpan> of(Schedule schedule, Opening hours) {
            return schedule.spans(from, until, hours, MOST_SPANS);
        }
    }

    private RuleRow row(Rule rule, Stretch stretch) {
        Schedule schedule = rule.schedule();
        return new RuleRow(
                rule.id().value(),
                rule.name(),
                rule.on(),
                schedule.statement(),
                schedule.isActive(clock.instant(), stretch.opening()),
                schedule.nextChange(clock.instant(), stretch.opening()),
                stretch.of(schedule, stretch.opening()));
    }

    private HoursRow row(String name, Opening hours, Stretch stretch) {
        return new HoursRow(
                name,
                hours.zone().getId(),
                OPEN.isActive(clock.instant(), hours),
                OPEN.nextChange(clock.instant(), hours),
                stretch.of(OPEN, hours));
    }

    private static ClosedRow row(ClosedDays.Calendar calendar, LocalDate from, LocalDate until, LocalDate today) {
        return new ClosedRow(
                calendar.name(),
                calendar.next().stream()
                        .filter(one -> !one.day().isBefore(from) && one.day().isBefore(until))
                        .toList(),
                calendar.next().stream()
                        .filter(one -> !one.day().isBefore(today))
                        .findFirst());
    }
}
