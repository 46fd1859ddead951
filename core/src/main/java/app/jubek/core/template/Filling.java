package app.jubek.core.template;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.people.OwnSide;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.time.format.FormatStyle;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * What the fields of a template are filled from.
 *
 * @param zone in which days and times are told
 */
public record Filling(ReadMessage message, OwnSide own, Instant received, ZoneId zone) {
    /** Controls, line ends and marks that turn the direction of writing: nothing of a message may bring them in. */
    private static final Pattern UNSAFE =
            Pattern.compile("[\\p{Cc}\\u2028\\u2029\\u200E\\u200F\\u061C\\u202A-\\u202E\\u2066-\\u2069]+");

    /** Empty where the message has none, or where it can't be told safely. */
    Optional<String> value(Field field, Locale language) {
        return raw(field, language)
                .map(text -> UNSAFE.matcher(text).replaceAll(" ").strip())
                .filter(text -> !text.isEmpty());
    }

    private Optional<String> raw(Field field, Locale language) {
        return switch (field) {
            case SENDER_FIRST_NAME -> name().map(PersonName::first);
            case SENDER_LAST_NAME -> name().map(PersonName::last);
            case SENDER_NAME -> name().map(n -> n.first() + " " + n.last());
            case SENDER_ADDRESS -> message.writer().map(MailAddress::address);
            case SUBJECT -> Optional.of(message.subject());
            case RECEIVED_DATE ->
                Optional.of(at().format(DateTimeFormatter.ofLocalizedDate(FormatStyle.LONG)
                        .withLocale(language)));
            case RECEIVED_TIME -> Optional.of(at().format(DateTimeFormatter.ofPattern("HH:mm", language)));
            case MAILBOX_NAME -> Optional.of(own.identity().name());
            case MAILBOX_ADDRESS -> Optional.of(own.identity().address());
            case RECIPIENT_ADDRESS -> Optional.of(recipient());
        };
    }

    private Optional<PersonName> name() {
        return message.writer().flatMap(PersonName::of);
    }

    private ZonedDateTime at() {
        return received.atZone(zone);
    }

    /** The own address it was written to, which may be an alias. */
    private String recipient() {
        return message.recipients().stream()
                .filter(own::isOwn)
                .findFirst()
                .orElse(own.identity())
                .address();
    }
}
