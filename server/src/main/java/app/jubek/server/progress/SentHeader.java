package app.jubek.server.progress;

import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.SentBy;
import app.jubek.core.reading.MessageReading;
import app.jubek.core.text.Limits;
import app.jubek.server.mailbox.UidCommands;
import jakarta.mail.MessagingException;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * What the header of a sent message says of its place in a conversation (RFC 5322 §3.6.4).
 *
 * @param automatic it says that a machine sent it (RFC 3834 §5)
 */
record SentHeader(String messageId, List<String> references, boolean automatic) {
    private static final String FIELDS = "BODY.PEEK[HEADER.FIELDS (MESSAGE-ID IN-REPLY-TO REFERENCES AUTO-SUBMITTED)]";

    private static final MessageReading READING = new MessageReading(Limits.standard());

    /** The nearest ancestors; of a conversation without end the rest tells nothing more. */
    private static final int ANCESTORS = 40;

    /** By UID; messages without a Message-ID are missing. */
    static Map<Long, SentHeader> of(List<Long> uids, UidCommands commands) throws MessagingException {
        Map<Long, SentHeader> found = new TreeMap<>();
        for (UidCommands.Content content : commands.contents(uids, FIELDS)) {
            SentHeader header = read(content.bytes());
            if (!header.messageId().isEmpty()) {
                found.put(content.uid(), header);
            }
        }
        return found;
    }

    private static SentHeader read(byte[] fields) {
        ReadMessage read = READING.read(fields);
        List<String> all = read.references();
        return new SentHeader(
                read.messageId().orElse(""),
                all.subList(Math.max(all.size() - ANCESTORS, 0), all.size()),
                !read.sentBy().contains(SentBy.PERSON));
    }
}
