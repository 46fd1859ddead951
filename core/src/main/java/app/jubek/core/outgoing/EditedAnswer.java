package app.jubek.core.outgoing;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.apache.james.mime4j.MimeException;
import org.apache.james.mime4j.stream.EntityState;
import org.apache.james.mime4j.stream.Field;
import org.apache.james.mime4j.stream.MimeTokenStream;

/**
 * An answer that was frozen, written anew: other words, with its documents and under its Message-ID. A person's is not marked
 * as automatic (RFC 3834 §5 is about answers that nobody looked at); one that a machine composed is, as before.
 *
 * @param subject one line of 1 to 500 characters
 * @param text plain text of 1 to 100,000 characters
 * @param isByPerson written by a person, and not by a machine
 */
public record EditedAnswer(String subject, String text, boolean isByPerson) {
    private static final int LONGEST_SUBJECT = 500;
    private static final int LONGEST_TEXT = 100_000;

    /**
     * @throws IllegalArgumentException saying what is missing or too long
     */
    public EditedAnswer {
        subject = subject.strip();
        if (subject.isEmpty()
                || subject.length() > LONGEST_SUBJECT
                || subject.lines().count() > 1) {
            throw new IllegalArgumentException("a subject is one line of 1 to " + LONGEST_SUBJECT + " characters");
        }
        if (text.isBlank() || text.length() > LONGEST_TEXT) {
            throw new IllegalArgumentException("a reply has 1 to " + LONGEST_TEXT + " characters");
        }
    }

    /** By a person. */
    public EditedAnswer(String subject, String text) {
        this(subject, text, true);
    }

    /** The bytes of the answer. */
    public byte[] in(byte[] frozen) {
        return written(frozen, subject, isByPerson ? "auto-submitted" : "");
    }

    /** The bytes of a copy of it, which nobody sent by hand. */
    public byte[] inCopy(byte[] frozen) {
        return written(frozen, "Copy: " + subject, "");
    }

    private byte[] written(byte[] frozen, String newSubject, String dropped) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        String id = "";
        for (Field field : fields(frozen)) {
            String name = field.getName().toLowerCase(Locale.ROOT);
            if (name.equals("message-id")) {
                id = field.getBody();
            }
            if (!name.equals("subject") && !name.equals(dropped) && !isOfContent(name)) {
                out.writeBytes(field.getRaw().toByteArray());
                out.writeBytes(new byte[] {'\r', '\n'});
            }
        }
        out.writeBytes(new HeaderBlock()
                .withText("Subject", newSubject)
                .raw("MIME-Version", "1.0")
                .bytes());
        List<MimePart> parts = new ArrayList<>(List.of(MimePart.plain(text)));
        AttachedParts.of(frozen).stream()
                .filter(EditedAnswer::isDocument)
                .map(MimePart::new)
                .forEach(parts::add);
        out.writeBytes(MimePart.multipart("mixed", id, parts).bytes());
        return out.toByteArray();
    }

    private static boolean isOfContent(String name) {
        return name.startsWith("content-") || name.equals("mime-version");
    }

    /** Not the picture that the rich form showed. */
    private static boolean isDocument(byte[] part) {
        String whole = new String(part, StandardCharsets.US_ASCII);
        int end = whole.indexOf("\r\n\r\n");
        return whole.substring(0, Math.max(end, 0)).contains("Content-Disposition: attachment");
    }

    private static List<Field> fields(byte[] frozen) {
        MimeTokenStream tokens = new MimeTokenStream();
        tokens.parse(new ByteArrayInputStream(frozen));
        List<Field> fields = new ArrayList<>();
        try {
            for (EntityState state = tokens.getState(); state != EntityState.T_END_HEADER; state = tokens.next()) {
                if (state == EntityState.T_FIELD) {
                    fields.add(tokens.getField());
                }
            }
        } catch (MimeException | IOException unreadable) {
            throw new IllegalArgumentException("the answer can't be read", unreadable);
        }
        return fields;
    }
}
