package app.jubek.server.intake;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.Role;
import app.jubek.core.wording.Statement;
import app.jubek.formats.statement.StatementJson;
import app.jubek.server.mailbox.Fetched;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

@Entity
@Table(name = "message")
class MessageEntity {
    /** Of the read form beside the bytes; a higher one is read anew. */
    static final int FORM_VERSION = 2;

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private UUID mailboxId;
    private String folder;
    private long uidValidity;
    private long uid;
    private String locatedFolder;
    private long locatedValidity;
    private long locatedUid;
    private String digest;
    private @Nullable String messageId;
    private Instant receivedAt;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private String[] senderNames;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private String[] senders;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private String[] recipients;

    private String subject;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private String[] texts;

    @JdbcTypeCode(SqlTypes.JSON)
    private @Nullable StoredParts parts;

    private int formVersion;
    private @Nullable Instant goneAt;
    private int attachments;
    private long size;
    private int repeats;
    private @Nullable Instant repeatedAt;

    @JdbcTypeCode(SqlTypes.JSON)
    private String notes;

    @Enumerated(EnumType.STRING)
    private MessageStatus status;

    @JdbcTypeCode(SqlTypes.JSON)
    private @Nullable String asideCause;

    private boolean asideTried;
    private boolean asideDone;

    @JdbcTypeCode(SqlTypes.JSON)
    private @Nullable String decision;

    protected MessageEntity() {}

    MessageEntity(UUID mailboxId, Fetched fetched, String digest, MessageStatus status) {
        Fetched.Place place = fetched.place();
        this.mailboxId = mailboxId;
        this.folder = place.folder();
        this.uidValidity = place.uidValidity();
        this.uid = place.uid();
        this.digest = digest;
        this.receivedAt = fetched.received();
        this.status = status;
        this.size = fetched.size();
        locate(place);
    }

    MessageEntity read(ReadMessage message, boolean conversation) {
        messageId = message.messageId().map(StoredParts::storable).orElse(null);
        List<MailAddress> from = message.in(Role.FROM);
        senderNames = from.stream().map(a -> StoredParts.storable(a.name())).toArray(String[]::new);
        senders = from.stream().map(a -> StoredParts.storable(a.key())).toArray(String[]::new);
        recipients = message.recipients().stream()
                .map(a -> StoredParts.storable(a.key()))
                .toArray(String[]::new);
        subject = StoredParts.storable(message.subject());
        texts = message.texts().stream().map(StoredParts::storable).toArray(String[]::new);
        parts = StoredParts.of(message, conversation);
        formVersion = FORM_VERSION;
        attachments = message.attachments().size();
        notes = StatementJson.write(List.copyOf(message.notes())).toString();
        return this;
    }

    /**
     * Why it was set aside.
     *
     * @param forGood trying again would change nothing by itself
     */
    MessageEntity because(Statement cause, boolean forGood) {
        asideCause = StatementJson.write(cause).toString();
        asideTried |= forGood;
        return this;
    }

    MessageEntity untried() {
        asideTried = false;
        return this;
    }

    MessageEntity tried() {
        asideTried = true;
        return this;
    }

    /** A person has dealt with it. */
    MessageEntity doneAside() {
        asideDone = true;
        return this;
    }

    MessageEntity decidedAfterAll() {
        status = MessageStatus.DECIDED;
        return this;
    }

    Statement asideCause() {
        return StatementJson.read(Optional.ofNullable(asideCause).orElseThrow());
    }

    void decided(StoredDecision made) {
        decision = made.json();
    }

    void locate(Fetched.Place place) {
        locatedFolder = place.folder();
        locatedValidity = place.uidValidity();
        locatedUid = place.uid();
        goneAt = null;
    }

    /** The same once more: it lies there now, and nothing is done about it a second time. */
    void cameAgain(Fetched again) {
        if (!again.place().equals(place())) {
            repeats++;
            repeatedAt = again.received();
        }
        locate(again.place());
    }

    int repeats() {
        return repeats;
    }

    Optional<Instant> repeatedAt() {
        return Optional.ofNullable(repeatedAt);
    }

    long id() {
        return id;
    }

    UUID mailboxId() {
        return mailboxId;
    }

    String digest() {
        return digest;
    }

    Fetched.Place place() {
        return new Fetched.Place(locatedFolder, locatedValidity, locatedUid);
    }

    Optional<String> messageId() {
        return Optional.ofNullable(messageId);
    }

    Instant receivedAt() {
        return receivedAt;
    }

    /** As much of the parts as can be told of one whose bytes were cleared away. */
    void keepLine() {
        List<StoredParts.Pair> from = new ArrayList<>();
        for (int i = 0; i < senders.length; i++) {
            from.add(new StoredParts.Pair(senderNames[i], senders[i]));
        }
        List<StoredParts.Pair> to =
                Arrays.stream(recipients).map(a -> new StoredParts.Pair("", a)).toList();
        parts = new StoredParts(
                List.of(new StoredParts.Pair("Subject", subject)),
                Map.of(Role.FROM, from, Role.TO, to),
                null,
                null,
                List.of(),
                null,
                Set.of(),
                List.of(),
                false,
                false);
        formVersion = FORM_VERSION;
    }

    String subject() {
        return subject;
    }

    List<String> texts() {
        return List.of(texts);
    }

    long size() {
        return size;
    }

    int attachments() {
        return attachments;
    }

    List<Statement> notes() {
        return StatementJson.readStatements(notes);
    }

    MessageStatus status() {
        return status;
    }

    Optional<StoredDecision> decision() {
        return Optional.ofNullable(decision).map(StoredDecision::read);
    }

    String senderShown() {
        boolean named = senderNames.length > 0 && !senderNames[0].isBlank();
        return named ? senderNames[0] : senders.length > 0 ? senders[0] : "(no sender)";
    }
}
