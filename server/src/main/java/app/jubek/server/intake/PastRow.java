package app.jubek.server.intake;

import app.jubek.core.corpus.PastMessage;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.people.AddressBook;
import app.jubek.core.view.MessageContext;
import app.jubek.core.view.MessageView;
import app.jubek.formats.statement.StatementJson;
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
        String notes,
        String folder) {
    static final String SELECT = "select new app.jubek.server.intake.PastRow(m.id, m.receivedAt, m.subject, m.texts,"
            + " m.parts, m.size, m.messageId, m.notes, m.locatedFolder) from MessageEntity m"
            + " where m.mailboxId = :mailbox and m.goneAt is null and m.status <> 'REAL_TEST'";

    PastMessage seenBy(Mailbox mailbox, AddressBook people, Instant now) {
        ReadMessage message = parts.message(
                subject, List.of(texts), size, Optional.ofNullable(messageId), StatementJson.readStatements(notes));
        MessageContext context = mailbox.context(people, now, receivedAt, parts.conversation(), folder, false);
        return new PastMessage(id, receivedAt, new MessageView(message, context));
    }
}
