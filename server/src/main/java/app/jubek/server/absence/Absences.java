package app.jubek.server.absence;

import app.jubek.core.absence.Absence;
import app.jubek.core.absence.AbsencePhrase;
import app.jubek.core.absence.AbsenceReview;
import app.jubek.core.absence.AbsenceRules;
import app.jubek.core.absence.Standing;
import app.jubek.core.absence.TakingOver;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.schedule.Period;
import app.jubek.core.wording.Statement;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.Refused;
import app.jubek.server.rulebook.RuleBooks;
import app.jubek.server.setting.SettingChanges;
import app.jubek.server.signals.Signal;
import app.jubek.server.signals.Signals;
import app.jubek.server.template.Templates;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Plans, changes and ends absences; their rules follow in the same transaction. */
@Service
public class Absences {
    /** Those that are over are shown for so long. */
    private static final int DAYS_SHOWN = 30;

    private final AbsenceRepository absences;
    private final Mailboxes mailboxes;
    private final RuleBooks books;
    private final Templates templates;
    private final SettingChanges changes;
    private final Signals signals;
    private final Clock clock;

    Absences(
            AbsenceRepository absences,
            Mailboxes mailboxes,
            RuleBooks books,
            Templates templates,
            SettingChanges changes,
            Signals signals,
            Clock clock) {
        this.absences = absences;
        this.mailboxes = mailboxes;
        this.books = books;
        this.templates = templates;
        this.changes = changes;
        this.signals = signals;
        this.clock = clock;
    }

    /** An absence and how it stands. */
    record Planned(
            Absence absence,
            Standing standing,
            String plannedBy,
            Optional<Instant> endedAt,
            List<Statement> findings) {}

    LocalDate today(UUID mailbox) {
        return LocalDate.ofInstant(clock.instant(), mailboxes.find(mailbox).zone());
    }

    /** The earliest first. */
    @Transactional(readOnly = true)
    List<Planned> of(UUID mailbox) {
        return absences.of(mailbox, today(mailbox).minusDays(DAYS_SHOWN)).stream()
                .map(one -> planned(one.absence(), Optional.of(one), mailbox))
                .toList();
    }

    /**
     * What there is to say of an absence as it is being planned.
     *
     * @param stored as it was planned before
     */
    private Planned planned(Absence absence, Optional<AbsenceEntity> stored, UUID mailbox) {
        Standing standing = stored.filter(one -> one.absence().isSameSubstituteAs(absence))
                .map(AbsenceEntity::standing)
                .orElse(Standing.NOT_ASKED);
        String who = stored.map(AbsenceEntity::plannedBy).orElse("");
        Mailbox of = mailboxes.find(mailbox);
        LocalDate today = today(mailbox);
        RuleBook book = books.current(mailbox).book();
        List<Absence> others = absences.of(mailbox, today).stream()
                .map(AbsenceEntity::absence)
                .filter(other -> !other.id().equals(absence.id()))
                .toList();
        AbsenceReview review = new AbsenceReview(
                absence,
                standing,
                stored.isEmpty(),
                others,
                substituteAway(absence),
                of.own(),
                of.opening(),
                book,
                templates.of(mailbox));
        return new Planned(
                absence,
                standing,
                who,
                stored.flatMap(AbsenceEntity::endedAt),
                absence.isOver(today) ? List.of() : review.findings(today));
    }

    /** Those that are not over, the earliest first. */
    @Transactional(readOnly = true)
    public List<Absence> comingUp(UUID mailbox) {
        return absences.of(mailbox, today(mailbox)).stream()
                .map(AbsenceEntity::absence)
                .toList();
    }

    @Transactional(readOnly = true)
    Planned look(UUID mailbox, Absence absence) {
        return planned(absence, absences.find(mailbox, UUID.fromString(absence.id())), mailbox);
    }

    /** As far as the substitute has a mailbox here. */
    private List<Period> substituteAway(Absence absence) {
        return absence.takingOver().map(TakingOver::substitute).stream()
                .flatMap(substitute ->
                        mailboxes.all().stream().filter(mailbox -> mailbox.own().isOwn(substitute)))
                .flatMap(mailbox -> absences.of(mailbox.id(), absence.first()).stream())
                .map(one -> one.absence().period())
                .toList();
    }

    @Transactional(readOnly = true)
    Optional<Planned> find(UUID mailbox, UUID id) {
        return absences.find(mailbox, id).map(one -> planned(one.absence(), Optional.of(one), mailbox));
    }

    /**
     * @throws Refused when its substitute is outside, or it is over
     */
    @Transactional
    Planned plan(UUID mailbox, Absence absence, String who) {
        check(mailbox, absence);
        mailboxes.lock(mailbox);
        absences.saveAndFlush(new AbsenceEntity(mailbox, absence, who));
        return noted(mailbox, absence, who, AbsencePhrase.PLANNED);
    }

    private void check(UUID mailbox, Absence absence) {
        if (absence.isOver(today(mailbox))) {
            throw Refused.invalid("This absence is over: its last day lies in the past.", List.of());
        }
        absence.takingOver()
                .map(TakingOver::substitute)
                .filter(who -> !mailboxes.find(mailbox).own().isInside(who))
                .ifPresent(who -> {
                    throw Refused.invalid(
                            who.address() + " lies outside your own domains. A substitute is a colleague inside; for"
                                    + " somebody outside, make a rule that forwards.",
                            List.of());
                });
        absence.takingOver()
                .map(TakingOver::substitute)
                .filter(who -> mailboxes.find(mailbox).own().isOwn(who))
                .ifPresent(who -> {
                    throw Refused.invalid(who.address() + " is this mailbox itself. Choose somebody else.", List.of());
                });
    }

    private Planned noted(UUID mailbox, Absence absence, String who, AbsencePhrase what) {
        books.renewTail(mailbox, who);
        changes.note(mailbox, who, what.with(absence.period().told()));
        signals.sendSoon(new Signal(Signal.Topic.MAILBOX, mailbox));
        return look(mailbox, absence);
    }

    /** Longer, shorter, earlier, with another substitute: as one thing. */
    @Transactional
    Planned change(UUID mailbox, Absence next, String who) {
        check(mailbox, next);
        mailboxes.lock(mailbox);
        AbsenceEntity stored = stored(mailbox, next.id());
        if (stored.isTold() && !stored.absence().isSameSubstituteAs(next)) {
            absences.save(stored.calledOff());
        }
        stored.change(next, today(mailbox));
        absences.saveAndFlush(stored);
        return noted(mailbox, next, who, AbsencePhrase.CHANGED);
    }

    private AbsenceEntity stored(UUID mailbox, String id) {
        return absences.find(mailbox, UUID.fromString(id)).orElseThrow(Refused::notFound);
    }

    /** Back today: yesterday was its last day. One that has not lasted a day is gone. */
    @Transactional
    void end(UUID mailbox, UUID id, String who) {
        mailboxes.lock(mailbox);
        AbsenceEntity stored = stored(mailbox, id.toString());
        Absence absence = stored.absence();
        LocalDate today = today(mailbox);
        if (absence.isOver(today)) {
            throw Refused.conflict("This absence is over already.", Map.of());
        }
        if (!absence.first().isBefore(today)) {
            callOff(stored);
            noted(mailbox, absence, who, AbsencePhrase.REMOVED);
            return;
        }
        Absence shorter =
                new Absence(absence.id(), absence.first(), today.minusDays(1), absence.answer(), absence.takingOver());
        stored.change(shorter, today);
        stored.end(clock.instant());
        absences.saveAndFlush(stored);
        noted(mailbox, shorter, who, AbsencePhrase.ENDED_EARLY);
    }

    private void callOff(AbsenceEntity stored) {
        if (stored.isTold()) {
            stored.callOff();
            absences.saveAndFlush(stored);
        } else {
            absences.delete(stored);
            absences.flush();
        }
    }

    /** The substitute agrees, and gets what waited; or declines. */
    @Transactional
    void answered(AbsenceEntity stored, boolean yes) {
        mailboxes.lock(stored.mailbox());
        stored.answered(yes);
        absences.saveAndFlush(stored);
        Absence absence = stored.absence();
        String substitute = absence.takingOver().orElseThrow().substitute().shown();
        books.renewTail(stored.mailbox(), substitute);
        if (yes) {
            absences.release(
                    stored.mailbox(),
                    AbsenceRules.handOverOf(absence.id()).value(),
                    absence.takingOver().orElseThrow().substitute().key());
            signals.sendSoon(new Signal(Signal.Topic.WORK, stored.mailbox()));
            signals.sendSoon(new Signal(Signal.Topic.STEPS, stored.mailbox()));
        }
        AbsencePhrase said = yes ? AbsencePhrase.AGREED : AbsencePhrase.DECLINED;
        changes.note(stored.mailbox(), substitute, said.with(absence.period().told(), substitute));
        signals.sendSoon(new Signal(Signal.Topic.MAILBOX, stored.mailbox()));
    }
}
