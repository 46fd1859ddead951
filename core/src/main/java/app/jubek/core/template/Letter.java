package app.jubek.core.template;

import app.jubek.core.message.ReadMessage;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Words ready to go out: a template filled from one message, or what was written in a rule.
 *
 * @param subject empty where it says none
 * @param text plain text
 * @param html the rich form, markup that is clean; empty when there is plain text alone
 * @param picture shown in the rich form under {@link #PICTURE}
 */
public record Letter(String subject, String text, String html, Optional<Document> picture, List<Document> documents) {
    /** How the rich form names the picture (RFC 2392). */
    public static final String PICTURE = "cid:signature-picture";

    public Letter {
        documents = List.copyOf(documents);
    }

    public static Letter plain(String subject, String text) {
        return new Letter(subject, text, "", Optional.empty(), List.of());
    }

    public static Letter none() {
        return plain("", "");
    }

    public boolean isEmpty() {
        return text.isBlank() && html.isBlank();
    }

    /** Bytes of all its documents. */
    public long documentsSize() {
        return documents.stream().mapToLong(Document::size).sum();
    }

    public Letter under(String other) {
        return new Letter(other, text, html, picture, documents);
    }

    /**
     * The same above the message it answers.
     *
     * @param received when that came in
     * @param language in which that is told
     */
    public Letter above(ReadMessage message, Instant received, ZoneId zone, Locale language) {
        Quote quote = Quote.of(message, received, zone, language);
        return new Letter(
                subject,
                text.stripTrailing() + "\n\n" + quote.text(),
                html.isEmpty() ? "" : html + quote.html(),
                picture,
                documents);
    }
}
