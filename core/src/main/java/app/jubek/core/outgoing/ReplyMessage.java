package app.jubek.core.outgoing;

import app.jubek.core.message.ReadMessage;
import app.jubek.core.template.Letter;
import java.io.ByteArrayOutputStream;
import java.util.ArrayList;
import java.util.List;

/** An automatic answer (RFC 3834 §3): threaded and marked as automatic. */
final class ReplyMessage {
    private static final int MAX_REFERENCES = 20;

    private ReplyMessage() {}

    static byte[] bytes(Stamp stamp, Letter letter, ReadMessage answered, DocumentContents documents) {
        HeaderBlock header = new HeaderBlock()
                .with("From", stamp.from())
                .with("To", stamp.to())
                .withText("Subject", letter.subject())
                .raw("Date", stamp.date())
                .raw("Message-ID", stamp.messageId());
        answered.messageId().ifPresent(id -> header.raw("In-Reply-To", id));
        return whole(threaded(header, answered).raw("Auto-Submitted", "auto-replied"), stamp, letter, documents);
    }

    /** What a colleague gets of it, as a message of its own: it answers nothing that the colleague wrote. */
    static byte[] copy(Stamp stamp, Letter letter, ReadMessage answered, DocumentContents documents) {
        HeaderBlock header = new HeaderBlock()
                .with("From", stamp.from())
                .with("To", stamp.to())
                .withText("Subject", "Copy: " + letter.subject())
                .raw("Date", stamp.date())
                .raw("Message-ID", stamp.messageId());
        return whole(threaded(header, answered).raw("Auto-Submitted", "auto-generated"), stamp, letter, documents);
    }

    private static HeaderBlock threaded(HeaderBlock header, ReadMessage answered) {
        List<String> references = references(answered);
        return references.isEmpty() ? header : header.raw("References", String.join(" ", references));
    }

    private static byte[] whole(HeaderBlock header, Stamp stamp, Letter letter, DocumentContents documents) {
        LetterParts parts = new LetterParts(letter, documents, stamp.messageId());
        List<MimePart> all = new ArrayList<>(List.of(parts.words()));
        all.addAll(parts.documents());
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.writeBytes(header.raw("MIME-Version", "1.0").bytes());
        out.writeBytes(MimePart.multipart("mixed", stamp.messageId(), all).bytes());
        return out.toByteArray();
    }

    /** RFC 5322 §3.6.4: the references answered, then the message answered; the first and the latest are kept. */
    static List<String> references(ReadMessage answered) {
        List<String> ids = new ArrayList<>(answered.references());
        answered.messageId().ifPresent(id -> {
            ids.remove(id);
            ids.add(id);
        });
        while (ids.size() > MAX_REFERENCES) {
            ids.remove(1);
        }
        return ids;
    }
}
