package app.jubek.server.digest;

import app.jubek.core.address.MailAddress;
import app.jubek.core.outgoing.OwnLetter;
import app.jubek.core.rule.Rule;
import app.jubek.core.schedule.Period;
import app.jubek.core.schedule.Schedule;
import app.jubek.server.intake.MessageLine;
import app.jubek.server.intake.Messages;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.Border;
import app.jubek.server.platform.JubekProperties;
import app.jubek.server.platform.Words;
import app.jubek.server.queue.Outbox;
import app.jubek.server.rulebook.RuleBooks;
import app.jubek.server.smtp.InsideMail;
import app.jubek.server.step.StepView;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Tells people who want it what waits, when their mailbox opens. */
@Component
public class Digests {
    private static final Logger LOG = LoggerFactory.getLogger(Digests.class);
    private static final Schedule OPEN = new Schedule(Schedule.Hours.INSIDE, Period.OPEN);
    private static final int MOST = 500;

    private final DigestRepository digests;
    private final Mailboxes mailboxes;
    private final Outbox outbox;
    private final Messages messages;
    private final RuleBooks books;
    private final InsideMail mail;
    private final JubekProperties properties;
    private final Words words;
    private final Clock clock;

    Digests(
            DigestRepository digests,
            Mailboxes mailboxes,
            Outbox outbox,
            Messages messages,
            RuleBooks books,
            InsideMail mail,
            JubekProperties properties,
            Words words,
            Clock clock) {
        this.digests = digests;
        this.mailboxes = mailboxes;
        this.outbox = outbox;
        this.messages = messages;
        this.books = books;
        this.mail = mail;
        this.properties = properties;
        this.words = words;
        this.clock = clock;
    }

    @Scheduled(fixedDelay = 1, initialDelay = 1, timeUnit = TimeUnit.MINUTES)
    void sendDue() {
        Border.around(() -> sendDue(clock.instant())).ifPresent(failure -> LOG.warn("digests: {}", failure.words()));
    }

    /** To everybody whose mailbox is open at an instant, and who was not told on that day. */
    public void sendDue(Instant now) {
        mailboxes.all().stream()
                .filter(mailbox -> OPEN.isActive(now, mailbox.opening()))
                .forEach(mailbox -> Border.around(() -> sendDue(mailbox, now))
                        .ifPresent(failure -> LOG.warn("a digest was not sent: {}", failure.words())));
    }

    private void sendDue(Mailbox mailbox, Instant now) {
        LocalDate today = LocalDate.ofInstant(now, mailbox.zone());
        List<DigestEntity> due = digests.due(mailbox.id(), today);
        if (due.isEmpty()) {
            return;
        }
        List<OwnLetter.Waits> waiting = waiting(mailbox.id());
        List<String> ahead = ahead(mailbox, today);
        for (DigestEntity one : due) {
            boolean ours = digests.claim(one.key().accountId(), mailbox.id(), today) > 0;
            if (ours && !(waiting.isEmpty() && ahead.isEmpty())) {
                send(mailbox, MailAddress.of(one.address()), waiting, ahead, now);
            }
        }
    }

    /** What begins or ends after today, up to the next working day. */
    private List<String> ahead(Mailbox mailbox, LocalDate today) {
        LocalDate until = mailbox.opening().opensAfter(today).orElse(today.plusDays(1));
        return books.current(mailbox.id()).book().all().stream()
                .filter(Rule::on)
                .flatMap(rule ->
                        rule.schedule().nextTurn(today.plusDays(1), until).map(turn -> turn.of(rule.name())).stream())
                .map(words::of)
                .toList();
    }

    private List<OwnLetter.Waits> waiting(UUID mailbox) {
        List<StepView> held = outbox.held(mailbox, MOST).stream()
                .sorted(Comparator.comparing(StepView::plannedAt))
                .toList();
        Map<Long, MessageLine> lines = messages.lines(
                mailbox, held.stream().map(StepView::message).distinct().toList());
        return held.stream().map(step -> waits(step, lines.get(step.message()))).toList();
    }

    private OwnLetter.Waits waits(StepView step, MessageLine message) {
        String why = step.because().map(because -> ": " + words.of(because)).orElse("");
        return new OwnLetter.Waits(words.of(step.done()) + why, message.subject(), message.sender());
    }

    private void send(Mailbox mailbox, MailAddress to, List<OwnLetter.Waits> waiting, List<String> ahead, Instant now) {
        MailAddress from = mailbox.own().identity();
        OwnLetter letter =
                OwnLetter.digest(from, waiting, ahead, properties.web().publicPage("/records?view=waiting"));
        mail.send(mailbox, to, letter, "<digest-" + UUID.randomUUID() + "@" + from.domain() + ">", now);
    }
}
