package app.jubek.core.template;

import app.jubek.core.wording.Code;
import java.util.Arrays;
import java.util.Optional;

/** What a template can take from the message it answers. */
public enum Field implements Code {
    SENDER_FIRST_NAME("sender.firstName", true),
    SENDER_LAST_NAME("sender.lastName", true),
    SENDER_NAME("sender.name", true),
    SENDER_ADDRESS("sender.address", false),
    SUBJECT("subject", true),
    RECEIVED_DATE("received.date", false),
    RECEIVED_TIME("received.time", false),
    MAILBOX_NAME("mailbox.name", true),
    MAILBOX_ADDRESS("mailbox.address", false),
    RECIPIENT_ADDRESS("recipient.address", false),
    CONTACT_NAME("contact.name", true),
    CONTACT_ORGANISATION("contact.organisation", true),
    CONTACT_PHONE("contact.phone", true),
    ABSENCE_FIRST_DAY("absence.firstDay", true),
    ABSENCE_LAST_DAY("absence.lastDay", true),
    ABSENCE_NEXT_OPENING("absence.nextOpening", true),
    ABSENCE_SUBSTITUTE("absence.substitute", true);

    private final String key;
    private final boolean canBeMissing;

    Field(String key, boolean canBeMissing) {
        this.key = key;
        this.canBeMissing = canBeMissing;
    }

    /** As it stands between the braces of a template. */
    public String key() {
        return key;
    }

    @Override
    public String id() {
        return "FIELD_" + name();
    }

    /** Whether a message may have none, so that a fallback has to stand in. */
    public boolean canBeMissing() {
        return canBeMissing;
    }

    public static Optional<Field> of(String key) {
        return Arrays.stream(values()).filter(f -> f.key.equals(key)).findFirst();
    }
}
