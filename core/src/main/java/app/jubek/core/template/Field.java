package app.jubek.core.template;

import java.util.Arrays;
import java.util.Optional;

/** What a template can take from the message it answers. */
public enum Field {
    SENDER_FIRST_NAME("sender.firstName", "the writer’s first name", true),
    SENDER_LAST_NAME("sender.lastName", "the writer’s last name", true),
    SENDER_NAME("sender.name", "the writer’s name", true),
    SENDER_ADDRESS("sender.address", "the writer’s address", false),
    SUBJECT("subject", "the subject answered", true),
    RECEIVED_DATE("received.date", "the day it came in", false),
    RECEIVED_TIME("received.time", "the time it came in", false),
    MAILBOX_NAME("mailbox.name", "the mailbox’s name", true),
    MAILBOX_ADDRESS("mailbox.address", "the mailbox’s address", false),
    RECIPIENT_ADDRESS("recipient.address", "the address it was written to", false),
    CONTACT_NAME("contact.name", "the writer’s name in the address book", true),
    CONTACT_ORGANISATION("contact.organisation", "the writer’s organisation in the address book", true),
    CONTACT_PHONE("contact.phone", "the writer’s telephone number in the address book", true);

    private final String key;
    private final String words;
    private final boolean canBeMissing;

    Field(String key, String words, boolean canBeMissing) {
        this.key = key;
        this.words = words;
        this.canBeMissing = canBeMissing;
    }

    /** As it stands between the braces of a template. */
    public String key() {
        return key;
    }

    public String words() {
        return words;
    }

    /** Whether a message may have none, so that a fallback has to stand in. */
    public boolean canBeMissing() {
        return canBeMissing;
    }

    public static Optional<Field> of(String key) {
        return Arrays.stream(values()).filter(f -> f.key.equals(key)).findFirst();
    }
}
