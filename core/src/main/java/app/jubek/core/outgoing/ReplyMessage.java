package app.jubek.core.outgoing;

import app.jubek.core.message.ReadMessage;
import app.jubek.core.step.Step;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;

/** An automatic answer (RFC 3834 §3): threaded, marked as automatic, to the return path. */
final class ReplyMessage {
    private static final int MAX_REFERENCES = 20;

    private ReplyMessage() {}

    static byte[] octets(Stamp stamp, Step.Reply reply, ReadMessage answered) {
        HeaderBlock header = new HeaderBlock()
                .with("From", stamp.from())
                .with("To", stamp.to())
                .withText("Subject", reply.subjectTo(answered.subject()))
                .raw("Date", stamp.date())
                .raw("Message-ID", stamp.messageId());
        answered.messageId().ifPresent(id -> header.raw("In-Reply-To", id));
        List<String> references = references(answered);
        if (!references.isEmpty()) {
            header.raw("References", String.join(" ", references));
        }
        header.raw("Auto-Submitted", "auto-replied").raw("MIME-Version", "1.0");
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.writeBytes(header.octets());
        out.writeBytes(MessageBody.plain(reply.text()).getBytes(StandardCharsets.UTF_8));
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
