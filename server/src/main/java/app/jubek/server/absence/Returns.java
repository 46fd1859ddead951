package app.jubek.server.absence;

import app.jubek.core.absence.Absence;
import app.jubek.core.absence.AbsenceRules;
import app.jubek.core.absence.OnReturn;
import app.jubek.core.address.MailAddress;
import app.jubek.core.outgoing.OwnLetter;
import app.jubek.server.intake.MessageLine;
import app.jubek.server.intake.Messages;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.Border;
import app.jubek.server.platform.JubekProperties;
import app.jubek.server.smtp.InsideMail;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.data.domain.Limit;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Sums up what happened during an absence, on the page and once by mail. */
@Service
public class Returns {
    private static final Logger LOG = LoggerFactory.getLogger(Returns.class);
    private static final Limit MOST = Limit.of(20_000);
    private static final int LISTED = 200;

    private final AbsenceRepository absences;
    private final AbsenceMail mail;
    private final Mailboxes mailboxes;
    private final Messages messages;
    private final InsideMail letters;
    private final JubekProperties properties;
    private final TransactionTemplate transaction;
    private final Clock clock;

    Returns(
            AbsenceRepository absences,
            AbsenceMail mail,
            Mailboxes mailboxes,
            Messages messages,
            InsideMail letters,
            JubekProperties properties,
            TransactionTemplate transaction,
            Clock clock) {
        this.absences = absences;
        this.mail = mail;
        this.mailboxes = mailboxes;
        this.messages = messages;
        this.letters = letters;
        this.properties = properties;
        this.transaction = transaction;
        this.clock = clock;
    }

    /** What became of messages. */
    enum Sort {
        CAME_IN,
        ANSWERED,
        HANDED_OVER,
        DEALT_WITH,
        WAITING
    }

    /**
     * @param messages the newest first, of many the first 200
     */
    record ReturnLine(Sort sort, int count, List<MessageLine> messages) {}

    /**
     * @param senders who wrote most first
     */
    record Summary(List<OnReturn.Writer> senders, List<ReturnLine> lines) {}

    Summary of(Mailbox mailbox, Absence absence, Optional<Instant> ended) {
        Stretch at = stretch(mailbox, absence, ended);
        Map<Sort, List<Long>> ids = ids(mailbox, absence, at);
        Map<Long, MessageLine> lines = messages.lines(
                mailbox.id(),
                ids.values().stream()
                        .flatMap(each -> each.stream().limit(LISTED))
                        .distinct()
                        .toList());
        return new Summary(
                senders(mailbox, at),
                ids.entrySet().stream()
                        .map(each ->
                                new ReturnLine(each.getKey(), each.getValue().size(), listed(each.getValue(), lines)))
                        .toList());
    }

    private static List<MessageLine> listed(List<Long> ids, Map<Long, MessageLine> lines) {
        return ids.stream()
                .limit(LISTED)
                .flatMap(id -> Optional.ofNullable(lines.get(id)).stream())
                .toList();
    }

    private Map<Sort, List<Long>> ids(Mailbox mailbox, Absence absence, Stretch at) {
        String answer = AbsenceRules.answerOf(absence.id()).value();
        String handOver = AbsenceRules.handOverOf(absence.id()).value();
        Map<Sort, List<Long>> ids = new LinkedHashMap<>();
        ids.put(Sort.CAME_IN, mail.cameIn(mailbox.id(), at.from(), at.until(), MOST));
        ids.put(Sort.ANSWERED, mail.answered(mailbox.id(), answer, MOST));
        ids.put(Sort.HANDED_OVER, mail.handedOver(mailbox.id(), handOver, MOST));
        ids.put(Sort.DEALT_WITH, mail.dealtWith(mailbox.id(), handOver, MOST));
        ids.put(Sort.WAITING, mail.waiting(mailbox.id(), at.from(), at.until(), MOST));
        return ids;
    }

    private record Stretch(Instant from, Instant until) {}

    private static Stretch stretch(Mailbox mailbox, Absence absence, Optional<Instant> ended) {
        return new Stretch(
                absence.first().atStartOfDay(mailbox.zone()).toInstant(),
                ended.orElseGet(() ->
                        absence.last().plusDays(1).atStartOfDay(mailbox.zone()).toInstant()));
    }

    private List<OnReturn.Writer> senders(Mailbox mailbox, Stretch at) {
        return mail.senders(mailbox.id(), at.from(), at.until(), MOST).stream()
                .map(row -> new OnReturn.Writer(row.getAddress(), shown(row), (int) row.getMessages()))
                .sorted(Comparator.comparing(OnReturn.Writer::messages)
                        .reversed()
                        .thenComparing(OnReturn.Writer::address))
                .toList();
    }

    private static String shown(AbsenceMail.SenderRow row) {
        String name = row.getName();
        return name == null || name.isBlank() ? row.getAddress() : name;
    }

    @Scheduled(fixedDelay = 1, initialDelay = 1, timeUnit = TimeUnit.MINUTES)
    void sumUpDue() {
        Border.around(() -> sumUpDue(clock.instant())).ifPresent(failure -> LOG.warn("absences: {}", failure.words()));
    }

    /** Each absence that is over, once. */
    public void sumUpDue(Instant now) {
        for (Mailbox mailbox : mailboxes.all()) {
            LocalDate today = LocalDate.ofInstant(now, mailbox.zone());
            absences.over(mailbox.id(), today)
                    .forEach(one -> Border.around(() -> sumUp(mailbox, one.id(), now))
                            .ifPresent(failure -> LOG.warn("a summary was not sent: {}", failure.words())));
        }
    }

    private void sumUp(Mailbox mailbox, UUID id, Instant now) {
        Optional<AbsenceEntity> claimed = transaction.execute(status -> {
            mailboxes.lock(mailbox.id());
            return absences.over(mailbox.id(), LocalDate.ofInstant(now, mailbox.zone())).stream()
                    .filter(one -> one.id().equals(id))
                    .findFirst()
                    .map(one -> {
                        one.sumUp();
                        return absences.saveAndFlush(one);
                    });
        });
        claimed.ifPresent(one -> send(mailbox, one.absence(), stretch(mailbox, one.absence(), one.endedAt()), now));
    }

    private void send(Mailbox mailbox, Absence absence, Stretch at, Instant now) {
        MailAddress self = mailbox.own().identity();
        Map<Sort, List<Long>> ids = ids(mailbox, absence, at);
        OnReturn summary = new OnReturn(
                size(ids.get(Sort.CAME_IN)),
                senders(mailbox, at),
                size(ids.get(Sort.ANSWERED)),
                size(ids.get(Sort.HANDED_OVER)),
                size(ids.get(Sort.DEALT_WITH)),
                size(ids.get(Sort.WAITING)));
        String messageId = "<return-" + UUID.randomUUID() + "@" + self.domain() + ">";
        OwnLetter letter = summary.letter(self, properties.web().publicPage("/timetable?back=" + absence.id()));
        letters.send(mailbox, self, letter, messageId, now);
    }

    private static int size(Collection<?> all) {
        return all.size();
    }
}
