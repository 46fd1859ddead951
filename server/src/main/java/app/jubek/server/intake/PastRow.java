package app.jubek.server.intake;

import app.jubek.core.corpus.PastMessage;
import app.jubek.core.criteria.InHand;
import app.jubek.core.criteria.Setting;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.people.AddressBook;
import app.jubek.server.mailbox.Mailbox;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** As much of a stored message as the evidence looks at. */
record PastRow(
        long id,
        Instant receivedAt,
        String subject,
        String[] texts,
        StoredParts parts,
        long size,
        @Nullable String messageId,
        String[] notes,
        String folder) {
    static final String SELECT = "select new app.jubek.server.intake.PastRow(m.id, m.receivedAt, m.subject, m.texts,"
            + " m.parts, m.size, m.messageId, m.notes, m.locatedFolder) from MessageEntity m"
            + " where m.mailboxId = :mailbox and m.goneAt is null";

    PastMessage seenBy(Mailbox mailbox, AddressBook people, Instant now) {
        ReadMessage message =
                parts.message(subject, List.of(texts), size, Optional.ofNullable(messageId), List.of(notes));
        Setting setting = new Setting(
                mailbox.own(),
                people,
                now,
                receivedAt,
                mailbox.zone(),
                parts.conversation(),
                mailbox.own().identity().address(),
                folder);
        return new PastMessage(id, receivedAt, new InHand(message, setting));
    }
}
