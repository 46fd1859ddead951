package app.jubek.server.testmail;

import app.jubek.core.decide.Decision;
import app.jubek.core.rule.RuleId;
import app.jubek.core.trial.Expectation;
import app.jubek.formats.statement.StatementJson;
import app.jubek.formats.trial.TrialJson;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

@Entity
@Table(name = "real_test")
class RealTestEntity {
    @Id
    private UUID id;

    private UUID mailboxId;
    private UUID trialId;
    private String name;
    private String sender;
    private String messageId;

    /** Those that are judged as if they were on. */
    private String[] rules;

    @JdbcTypeCode(SqlTypes.JSON)
    private String expectations;

    private Instant sentAt;
    private String sentBy;

    @JdbcTypeCode(SqlTypes.JSON)
    private @Nullable String fault;

    private @Nullable Long message;
    private @Nullable Instant cameInAt;

    /** Which of the expectations, from 0, were not so. */
    private int @Nullable [] unmet;

    private @Nullable Instant cleanedAt;

    protected RealTestEntity() {}

    RealTestEntity(SentTest sent) {
        id = sent.id();
        mailboxId = sent.mailbox();
        trialId = sent.trial();
        name = sent.name();
        sender = sent.sender();
        messageId = sent.messageId();
        rules = sent.rules().stream().map(RuleId::value).sorted().toArray(String[]::new);
        expectations = TrialJson.write(sent.expectations()).toString();
        sentAt = sent.at();
        sentBy = sent.by();
    }

    UUID id() {
        return id;
    }

    Set<RuleId> rules() {
        return Arrays.stream(rules).map(RuleId::new).collect(Collectors.toSet());
    }

    List<Expectation> expectations() {
        return TrialJson.readExpectations(expectations);
    }

    void cameIn(long stored, Instant at, Decision decision) {
        message = stored;
        cameInAt = at;
        List<Expectation> all = expectations();
        unmet = IntStream.range(0, all.size())
                .filter(i -> !all.get(i).isMet(decision))
                .toArray();
    }

    private List<Expectation> unmet() {
        List<Expectation> all = expectations();
        return Optional.ofNullable(unmet).stream()
                .flatMapToInt(Arrays::stream)
                .mapToObj(all::get)
                .toList();
    }

    SentTest sent() {
        Optional<SentTest.CameIn> cameIn =
                Optional.ofNullable(cameInAt).map(at -> new SentTest.CameIn(Optional.ofNullable(message), at, unmet()));
        return new SentTest(
                id,
                mailboxId,
                trialId,
                name,
                sender,
                messageId,
                rules(),
                expectations(),
                sentAt,
                sentBy,
                Optional.ofNullable(fault).map(StatementJson::read),
                cameIn,
                Optional.ofNullable(cleanedAt));
    }
}
