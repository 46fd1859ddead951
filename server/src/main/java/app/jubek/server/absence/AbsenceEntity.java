package app.jubek.server.absence;

import app.jubek.core.absence.Absence;
import app.jubek.core.absence.Audience;
import app.jubek.core.absence.Standing;
import app.jubek.core.absence.TakingOver;
import app.jubek.core.address.MailAddress;
import app.jubek.core.rule.RuleId;
import app.jubek.core.template.TemplateId;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Stream;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

/** A planned absence, and how it stands with the substitute. */
@Entity
@Table(name = "absence")
class AbsenceEntity {
    @Id
    private UUID id;

    private UUID mailboxId;
    private LocalDate firstDay;
    private LocalDate lastDay;

    @Enumerated(EnumType.STRING)
    private Audience audience;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private String[] audienceGroups;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private String[] templates;

    private @Nullable String substitute;
    private @Nullable String substituteName;

    @Enumerated(EnumType.STRING)
    private TakingOver.@Nullable Share share;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private String[] rules;

    private boolean redirected;
    private int daysBefore;
    private String plannedBy;

    @Enumerated(EnumType.STRING)
    private Standing standing;

    @Enumerated(EnumType.STRING)
    @Column(name = "note")
    private @Nullable Note note;

    private @Nullable Instant noteAfter;

    private @Nullable String token;
    private boolean removed;
    private boolean summedUp;
    private @Nullable Instant endedAt;

    protected AbsenceEntity() {}

    AbsenceEntity(UUID mailboxId, Absence absence, String plannedBy) {
        this.id = UUID.fromString(absence.id());
        this.mailboxId = mailboxId;
        this.plannedBy = plannedBy;
        this.standing = Standing.NOT_ASKED;
        put(absence);
        note = absence.takingOver().map(substitute -> Note.ASK).orElse(null);
    }

    private void put(Absence absence) {
        firstDay = absence.first();
        lastDay = absence.last();
        audience = absence.answer().to();
        audienceGroups = absence.answer().groups().toArray(String[]::new);
        templates = texts(absence.answer().templates(), TemplateId::value);
        Optional<TakingOver> over = absence.takingOver();
        substitute = over.map(each -> each.substitute().address()).orElse(null);
        substituteName = over.map(each -> each.substitute().name()).orElse(null);
        share = over.map(TakingOver::share).orElse(null);
        rules = texts(over.map(TakingOver::rules).orElse(List.of()), RuleId::value);
        redirected = over.filter(TakingOver::redirected).isPresent();
        daysBefore = over.map(TakingOver::daysBefore).orElse(0);
    }

    private static <T> String[] texts(List<T> ids, Function<T, String> value) {
        return ids.stream().map(value).toArray(String[]::new);
    }

    UUID id() {
        return id;
    }

    UUID mailbox() {
        return mailboxId;
    }

    String plannedBy() {
        return plannedBy;
    }

    Standing standing() {
        return standing;
    }

    Optional<Note> note() {
        return Optional.ofNullable(note);
    }

    Absence absence() {
        Absence.Answer answer = new Absence.Answer(
                audience,
                List.of(audienceGroups),
                Stream.of(templates).map(TemplateId::new).toList());
        return new Absence(id.toString(), firstDay, lastDay, answer, takingOver());
    }

    private Optional<TakingOver> takingOver() {
        if (substitute == null || share == null) {
            return Optional.empty();
        }
        MailAddress who = MailAddress.of(substitute).named(substituteName == null ? "" : substituteName);
        return Optional.of(
                new TakingOver(who, share, Stream.of(rules).map(RuleId::new).toList(), redirected, daysBefore));
    }

    /**
     * Whoever was told learns what changed. A yes to more than before has to be given anew, but while it is under way more
     * days are told, and can be declined.
     */
    void change(Absence next, LocalDate today) {
        endedAt = null;
        Absence before = absence();
        boolean wasTold = isTold();
        put(next);
        if (lastDay.isAfter(before.last())) {
            summedUp = false;
        }
        if (next.takingOver().isEmpty() || !before.isSameSubstituteAs(next)) {
            standing = Standing.NOT_ASKED;
            token = null;
            note = next.takingOver().map(substitute -> Note.ASK).orElse(null);
        } else if (next.asksMoreThan(before) && !isUnderWay(before, next, today)) {
            standing = Standing.NOT_ASKED;
            note = Note.ASK;
        } else if (wasTold && !next.isForSubstituteAs(before)) {
            note = Note.CHANGED;
        }
    }

    private boolean isUnderWay(Absence before, Absence next, LocalDate today) {
        return standing == Standing.AGREED && !before.first().isAfter(today) && next.isSameMailAs(before);
    }

    boolean isTold() {
        return standing != Standing.NOT_ASKED && substitute != null;
    }

    /** What a former substitute still has to be told. */
    AbsenceEntity calledOff() {
        AbsenceEntity former = new AbsenceEntity(mailboxId, absence(), plannedBy);
        former.id = UUID.randomUUID();
        former.callOff();
        return former;
    }

    /** Out of sight, until the substitute has been told. */
    void callOff() {
        removed = true;
        note = Note.CALLED_OFF;
    }

    /** Counts as told from here on, so that it can't be sent twice. */
    void told(String digest) {
        standing = note == Note.ASK ? Standing.ASKED : standing;
        token = digest;
        note = null;
        noteAfter = null;
    }

    /** It did not leave; what the substitute has said meanwhile stays. */
    void tellAgain(Note what, Instant after) {
        note = note().orElse(what);
        noteAfter = after;
        standing = standing == Standing.ASKED ? Standing.NOT_ASKED : standing;
    }

    /** The mail server takes nothing for the substitute. */
    void unreached() {
        standing = standing == Standing.ASKED ? Standing.UNREACHED : standing;
    }

    /** There is nothing left to ask. */
    void answered(boolean yes) {
        standing = yes ? Standing.AGREED : Standing.DECLINED;
        note = note == Note.ASK ? null : note;
    }

    /** Somebody came back before its last day. */
    void end(Instant at) {
        endedAt = at;
        note = isTold() ? Note.BACK : null;
    }

    Optional<Instant> endedAt() {
        return Optional.ofNullable(endedAt);
    }

    void sumUp() {
        summedUp = true;
    }
}
