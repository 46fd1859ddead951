package app.jubek.server.absence;

import app.jubek.core.absence.Absence;
import app.jubek.core.absence.AbsenceRules;
import app.jubek.core.absence.SubstituteNote;
import app.jubek.core.address.MailAddress;
import app.jubek.core.outgoing.OwnLetter;
import app.jubek.core.people.AgreementAnswer;
import app.jubek.core.wording.Statement;
import app.jubek.server.agreement.AsksByMail;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.Border;
import app.jubek.server.platform.JubekProperties;
import app.jubek.server.platform.Refused;
import app.jubek.server.platform.Sha256;
import app.jubek.server.platform.Words;
import app.jubek.server.rulebook.RuleBooks;
import app.jubek.server.signals.Signal;
import app.jubek.server.signals.Signals;
import app.jubek.server.smtp.InsideMail;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.security.crypto.keygen.Base64StringKeyGenerator;
import org.springframework.security.crypto.keygen.StringKeyGenerator;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Tells substitutes beforehand, asks them for a yes, and takes their answer. */
@Service
public class Substitutes implements AsksByMail {
    static final String PAGE = "/stand-in/";

    private static final Logger LOG = LoggerFactory.getLogger(Substitutes.class);
    private static final int TOKEN_BYTES = 32;
    private static final Duration TRY_AGAIN_AFTER = Duration.ofMinutes(15);

    private final AbsenceRepository absences;
    private final Absences plans;
    private final AbsenceTail tail;
    private final Mailboxes mailboxes;
    private final RuleBooks books;
    private final InsideMail mail;
    private final JubekProperties properties;
    private final Words words;
    private final TransactionTemplate transaction;
    private final Signals signals;
    private final Clock clock;
    private final StringKeyGenerator tokens =
            new Base64StringKeyGenerator(Base64.getUrlEncoder().withoutPadding(), TOKEN_BYTES);

    Substitutes(
            AbsenceRepository absences,
            Absences plans,
            AbsenceTail tail,
            Mailboxes mailboxes,
            RuleBooks books,
            InsideMail mail,
            JubekProperties properties,
            Words words,
            TransactionTemplate transaction,
            Signals signals,
            Clock clock) {
        this.absences = absences;
        this.plans = plans;
        this.tail = tail;
        this.mailboxes = mailboxes;
        this.books = books;
        this.mail = mail;
        this.properties = properties;
        this.words = words;
        this.transaction = transaction;
        this.signals = signals;
        this.clock = clock;
    }

    @Scheduled(fixedDelay = 10, initialDelay = 10, timeUnit = TimeUnit.SECONDS)
    void tellDue() {
        Border.around(() -> tellDue(clock.instant()))
                .ifPresent(failure -> LOG.warn("substitutes: {}", failure.words()));
    }

    /** Everybody whose day it is, or who was told something that holds no more. */
    public void tellDue(Instant now) {
        for (Mailbox mailbox : mailboxes.all()) {
            LocalDate today = LocalDate.ofInstant(now, mailbox.zone());
            absences.untold(mailbox.id(), now).stream()
                    .filter(one -> !one.note().equals(Optional.of(Note.ASK)) || isDue(one.absence(), today))
                    .map(AbsenceEntity::id)
                    .forEach(id -> Border.around(() -> tell(mailbox, id))
                            .ifPresent(failure -> LOG.warn("a substitute was not told: {}", failure.words())));
        }
    }

    private static boolean isDue(Absence absence, LocalDate today) {
        return !absence.isOver(today)
                && absence.tellsOn().filter(day -> !today.isBefore(day)).isPresent();
    }

    private record Letter(AbsenceEntity absence, Note note, String token) {}

    private void tell(Mailbox mailbox, UUID id) {
        String token = tokens.generateKey();
        Optional<Letter> claimed = transaction.execute(status -> {
            mailboxes.lock(mailbox.id());
            return absences.findById(id)
                    .flatMap(one -> one.note().map(note -> {
                        one.told(digest(token));
                        signals.sendSoon(new Signal(Signal.Topic.MAILBOX, mailbox.id()));
                        return new Letter(absences.saveAndFlush(one), note, token);
                    }));
        });
        claimed.ifPresent(letter -> settle(mailbox, letter, send(mailbox, letter)));
    }

    private InsideMail.Outcome send(Mailbox mailbox, Letter letter) {
        MailAddress to = letter.absence().absence().takingOver().orElseThrow().substitute();
        String messageId = AgreementAnswer.messageId(
                letter.absence().id(),
                UUID.randomUUID().toString(),
                mailbox.own().identity());
        return mail.send(mailbox, to, written(mailbox, letter), messageId, clock.instant());
    }

    private void settle(Mailbox mailbox, Letter letter, InsideMail.Outcome outcome) {
        if (outcome == InsideMail.Outcome.SENT && letter.note() != Note.CALLED_OFF) {
            return;
        }
        transaction.executeWithoutResult(status -> {
            mailboxes.lock(mailbox.id());
            absences.findById(letter.absence().id()).ifPresent(one -> {
                if (outcome == InsideMail.Outcome.NOT_NOW) {
                    one.tellAgain(letter.note(), clock.instant().plus(TRY_AGAIN_AFTER));
                } else if (letter.note() == Note.CALLED_OFF) {
                    absences.delete(one);
                } else {
                    one.unreached();
                    signals.sendSoon(new Signal(Signal.Topic.MAILBOX, mailbox.id()));
                }
            });
        });
    }

    private OwnLetter written(Mailbox mailbox, Letter letter) {
        Absence absence = letter.absence().absence();
        List<String> comes =
                handedOver(mailbox, letter.absence()).stream().map(words::of).toList();
        SubstituteNote note = new SubstituteNote(
                absence,
                letter.absence().plannedBy(),
                mailbox.own().identity(),
                comes,
                properties.web().publicPage(PAGE + letter.token()));
        return switch (letter.note()) {
            case ASK -> note.asks();
            case CHANGED -> note.tellsOfChange();
            case BACK -> note.tellsOfReturn();
            case CALLED_OFF -> note.callsOff();
        };
    }

    private List<Statement> handedOver(Mailbox mailbox, AbsenceEntity absence) {
        return new AbsenceRules(absence.absence(), absence.standing(), mailbox.own(), tail.names(absence.absence()))
                .handedOver(books.current(mailbox.id()).book());
    }

    private static String digest(String token) {
        return Sha256.hex(token, Sha256.BYTES);
    }

    /**
     * What the page of a note shows.
     *
     * @param mail what is handed over; empty for none
     */
    record Page(Mailbox mailbox, AbsenceEntity absence, boolean open, List<Statement> mail) {}

    /**
     * @throws Refused when there is no such note, or its absence was called off
     */
    @Transactional(readOnly = true)
    Page page(String token) {
        AbsenceEntity absence = absences.asked(digest(token)).orElseThrow(Refused::notFound);
        Mailbox mailbox = mailboxes.find(absence.mailbox());
        LocalDate today = LocalDate.ofInstant(clock.instant(), mailbox.zone());
        return new Page(mailbox, absence, !absence.absence().isOver(today), handedOver(mailbox, absence));
    }

    /** The substitute may change a yes to a no, and back, until it is over. */
    @Transactional
    void answer(String token, boolean yes) {
        mailboxes.lock(absences.mailboxOfAsked(digest(token)).orElseThrow(Refused::notFound));
        Page page = page(token);
        if (!page.open()) {
            throw Refused.conflict("This absence is over.", Map.of());
        }
        plans.answered(page.absence(), yes);
    }

    @Override
    @Transactional(readOnly = true)
    public boolean isSent(UUID mailbox, UUID request) {
        return absences.find(mailbox, request).filter(AbsenceEntity::isTold).isPresent();
    }

    @Override
    @Transactional
    public void answeredByMail(UUID mailbox, AgreementAnswer answer) {
        absences.find(mailbox, answer.request())
                .filter(AbsenceEntity::isTold)
                .filter(one -> one.absence()
                        .takingOver()
                        .filter(over -> over.substitute().sameAs(answer.from()))
                        .isPresent())
                .filter(one -> !one.absence().isOver(plans.today(mailbox)))
                .ifPresent(one -> plans.answered(one, answer.agrees()));
    }
}
