package app.jubek.core.corpus;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.Role;
import app.jubek.core.view.MessageView;
import java.time.Instant;

/** One message of the evidence; criteria look at it as they do at one that has just come in. */
public record PastMessage(long id, Instant received, MessageView seen) {
    /** What a message takes beside its texts, measured with ordinary headers. */
    private static final long FRAME = 3_000;

    /**
     * An estimate of the memory it takes, in bytes: its texts as written and as they are compared.
     */
    public long bytes() {
        long texts = message().texts().stream().mapToLong(String::length).sum();
        long fields = message().fields().stream()
                .mapToLong(field -> field.value().length())
                .sum();
        return FRAME + 3 * texts + fields;
    }

    public ReadMessage message() {
        return seen.message();
    }

    public String senderShown() {
        return message().in(Role.FROM).stream()
                .findFirst()
                .map(MailAddress::shown)
                .orElse("(no sender)");
    }

    /** As addresses are compared; empty where it names nobody. */
    public String senderKey() {
        return message().in(Role.FROM).stream()
                .findFirst()
                .map(MailAddress::key)
                .orElse("");
    }

    public String subject() {
        return message().subject();
    }
}
