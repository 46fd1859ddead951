package app.jubek.server.desk;

import app.jubek.core.rule.Rule;
import app.jubek.core.wording.Statement;
import app.jubek.server.account.Allowed;
import app.jubek.server.account.SignedIn;
import app.jubek.server.figures.WorkFigures;
import app.jubek.server.intake.MessageLine;
import app.jubek.server.intake.Messages;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.rulebook.RuleBooks;
import app.jubek.server.step.DoneCount;
import app.jubek.server.step.RuleUse;
import app.jubek.server.step.Work;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RestController;

/** What was done in the last days, what is new to a person, and how much each rule is used. */
@RestController
class DeskController {
    private static final int LOOKED_BACK = 7;
    private static final int AHEAD = 14;

    private final WorkFigures figures;
    private final Messages messages;
    private final DeskVisitRepository visits;
    private final Reminders reminders;
    private final Mailboxes mailboxes;
    private final RuleBooks books;
    private final Clock clock;

    DeskController(
            WorkFigures figures,
            Messages messages,
            DeskVisitRepository visits,
            Reminders reminders,
            Mailboxes mailboxes,
            RuleBooks books,
            Clock clock) {
        this.books = books;
        this.reminders = reminders;
        this.mailboxes = mailboxes;
        this.figures = figures;
        this.messages = messages;
        this.visits = visits;
        this.clock = clock;
    }

    /**
     * @param lastVisit when the person last left the desk, if they ever did
     * @param came messages of the last seven days, today among them, that were decided
     * @param days these days, the earliest first
     * @param done messages of these days that something was done with, by what it was
     * @param turns rules whose days begin or end within two weeks
     * @param reminders messages to be looked at today or tomorrow, or within the last week
     */
    record DeskView(
            Optional<LastVisit> lastVisit,
            int came,
            List<DoneCount> done,
            List<DeskDay> days,
            List<ReminderView> reminders,
            List<TurnView> turns) {}

    /**
     * @param what happens, as a phrase about the rule
     */
    record TurnView(String rule, String name, LocalDate day, Statement what) {}

    /**
     * @param came messages that were decided since
     */
    record LastVisit(Instant at, int came) {}

    record ReminderView(MessageLine message, LocalDate day) {}

    @GetMapping("/api/mailboxes/{mailbox}/desk")
    DeskView desk(@AuthenticationPrincipal SignedIn who, @Allowed UUID mailbox) {
        Optional<LastVisit> lastVisit = visits.findById(new DeskVisitEntity.Key(who.id(), mailbox))
                .map(DeskVisitEntity::at)
                .map(at -> new LastVisit(at, messages.decidedSince(mailbox, at)));
        ZoneId zone = mailboxes.find(mailbox).zone();
        LocalDate today = LocalDate.ofInstant(clock.instant(), zone);
        List<LocalDate> days =
                today.minusDays(LOOKED_BACK - 1L).datesUntil(today.plusDays(1)).toList();
        Instant since = days.get(0).atStartOfDay(zone).toInstant();
        Map<Long, Instant> came = messages.decided(mailbox, since);
        Map<Long, Set<Work>> done = figures.doneWith(mailbox, since);
        return new DeskView(
                lastVisit,
                came.size(),
                counted(came.keySet(), done),
                DeskDay.of(days, zone, came, done),
                reminders(mailbox, today),
                turns(mailbox, today));
    }

    private List<TurnView> turns(UUID mailbox, LocalDate today) {
        return books.current(mailbox).book().rules().stream()
                .filter(Rule::on)
                .flatMap(rule -> rule
                        .schedule()
                        .nextTurn(today, today.plusDays(AHEAD))
                        .map(turn -> new TurnView(
                                rule.id().value(),
                                rule.name(),
                                turn.day(),
                                turn.what().with()))
                        .stream())
                .sorted(Comparator.comparing(TurnView::day))
                .toList();
    }

    /** Of these messages alone: a catch-up may have done as much with older ones. */
    private static List<DoneCount> counted(Set<Long> messages, Map<Long, Set<Work>> done) {
        Map<Work, Long> counts = messages.stream()
                .flatMap(message -> done.getOrDefault(message, Set.of()).stream())
                .collect(Collectors.groupingBy(Function.identity(), Collectors.counting()));
        return counts.entrySet().stream()
                .map(each -> new DoneCount(each.getKey(), each.getValue()))
                .toList();
    }

    private List<ReminderView> reminders(UUID mailbox, LocalDate today) {
        List<Reminders.Remind> due = reminders.between(mailbox, today.minusDays(LOOKED_BACK), today.plusDays(1));
        Map<Long, MessageLine> lines = messages.lines(
                mailbox, due.stream().map(Reminders.Remind::message).toList());
        return due.stream()
                .map(one -> new ReminderView(lines.get(one.message()), one.day()))
                .toList();
    }

    /** The person leaves the desk; what comes from now on is new to them. */
    @PutMapping("/api/mailboxes/{mailbox}/desk/visit")
    void visited(@AuthenticationPrincipal SignedIn who, @Allowed UUID mailbox) {
        visits.left(who.id(), mailbox, clock.instant());
    }

    /** How often and when each rule acted. */
    @GetMapping("/api/mailboxes/{mailbox}/uses")
    List<RuleUse> uses(@Allowed UUID mailbox) {
        return figures.uses(mailbox);
    }
}
