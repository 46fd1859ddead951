package app.jubek.core.outgoing;

import app.jubek.core.address.MailAddress;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Locale;

/** Who writes to whom, when, and under which Message-ID. */
public record Stamp(MailAddress from, MailAddress to, String messageId, ZonedDateTime at) {
    private static final DateTimeFormatter DATE =
            DateTimeFormatter.ofPattern("EEE, d MMM yyyy HH:mm:ss Z", Locale.ENGLISH);

    /** RFC 5322 §3.3. */
    public String date() {
        return DATE.format(at);
    }
}
