package app.jubek.core.people;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.AddedText;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.Role;
import app.jubek.core.message.SentBy;
import app.jubek.core.text.Pieces;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/**
 * An answer by mail to a request for agreement. A person writes one word on a line of its own, above whatever else there is;
 * what the rest says, and what programs answer, means nothing. The Message-ID of the request can't be guessed, and went to the
 * address asked alone.
 *
 * @param request that it answers (RFC 5322 §3.6.4)
 * @param from who says so
 */
public record AgreementAnswer(UUID request, MailAddress from, boolean agrees) {
    private static final String BEFORE = "<agreement-";
    private static final int UUID_LENGTH = 36;
    private static final Set<String> YES = Set.of("agree", "i agree");
    private static final Set<String> NO = Set.of("decline", "i decline", "stop");

    /** The Message-ID of a request, with angle brackets. */
    public static String messageId(UUID request, MailAddress mailbox) {
        return BEFORE + request + "@" + mailbox.domain() + ">";
    }

    /**
     * The Message-ID of one of several letters that ask the same.
     *
     * @param which letters and digits that no other of them has
     */
    public static String messageId(UUID request, String which, MailAddress mailbox) {
        return BEFORE + request + "-" + which + "@" + mailbox.domain() + ">";
    }

    /** Empty of what is no answer to a request, or says neither yes nor no. */
    public static Optional<AgreementAnswer> of(ReadMessage message) {
        List<MailAddress> from = message.in(Role.FROM);
        if (from.size() != 1 || !message.sentBy().contains(SentBy.PERSON)) {
            return Optional.empty();
        }
        return request(message)
                .flatMap(request -> said(message).map(agrees -> new AgreementAnswer(request, from.get(0), agrees)));
    }

    /** The request that a message says it answers, whatever else it says; anybody may name one that there never was. */
    public static Optional<UUID> request(ReadMessage message) {
        return message.references().stream()
                .filter(id -> id.startsWith(BEFORE) && id.length() > BEFORE.length() + UUID_LENGTH)
                .flatMap(id -> uuid(id.substring(BEFORE.length(), BEFORE.length() + UUID_LENGTH)).stream())
                .findFirst();
    }

    private static Optional<UUID> uuid(String written) {
        try {
            return Optional.of(UUID.fromString(written));
        } catch (IllegalArgumentException notOurs) {
            return Optional.empty();
        }
    }

    private static Optional<Boolean> said(ReadMessage message) {
        return message.texts().stream()
                .map(AddedText::of)
                .flatMap(String::lines)
                .map(AgreementAnswer::words)
                .filter(line -> !line.isEmpty())
                .findFirst()
                .filter(line -> YES.contains(line) || NO.contains(line))
                .map(YES::contains);
    }

    private static String words(String line) {
        return String.join(" ", Pieces.runs(line.toLowerCase(Locale.ROOT), Character::isLetterOrDigit));
    }
}
