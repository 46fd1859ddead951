package app.jubek.core.outgoing;

import com.google.re2j.Pattern;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.james.mime4j.MimeException;
import org.apache.james.mime4j.stream.EntityState;
import org.apache.james.mime4j.stream.MimeConfig;
import org.apache.james.mime4j.stream.MimeTokenStream;
import org.apache.james.mime4j.stream.RecursionMode;

/** The attachments of a message as they stand in it: their own headers and their own encoded bytes. */
final class AttachedParts {
    private static final Pattern NAMED = Pattern.compile("(?i)name\\*?(\\d\\*?)?\\s*=");

    private AttachedParts() {}

    static List<byte[]> of(byte[] message) {
        MimeConfig config = new MimeConfig.Builder()
                .setMaxLineLen(-1)
                .setMaxHeaderLen(-1)
                .setMaxContentLen(-1)
                .build();
        MimeTokenStream tokens = new MimeTokenStream(config);
        tokens.setRecursionMode(RecursionMode.M_NO_RECURSE);
        tokens.parse(new ByteArrayInputStream(message));
        List<byte[]> parts = new ArrayList<>();
        ByteArrayOutputStream header = new ByteArrayOutputStream();
        boolean named = false;
        try {
            for (EntityState state = tokens.getState(); state != EntityState.T_END_OF_STREAM; state = tokens.next()) {
                if (state == EntityState.T_START_HEADER) {
                    header.reset();
                    named = false;
                } else if (state == EntityState.T_FIELD) {
                    named |= add(header, tokens);
                } else if (state == EntityState.T_BODY && isAttachment(tokens, named)) {
                    header.writeBytes(new byte[] {'\r', '\n'});
                    tokens.getInputStream().transferTo(header);
                    parts.add(header.toByteArray());
                }
            }
        } catch (MimeException | IOException unreadable) {
            throw new IllegalArgumentException("the attachments can't be read", unreadable);
        }
        return parts;
    }

    private static boolean add(ByteArrayOutputStream header, MimeTokenStream tokens) {
        String name = tokens.getField().getName().toLowerCase(java.util.Locale.ROOT);
        String body = tokens.getField().getBody();
        if (name.startsWith("content-")) {
            header.writeBytes(tokens.getField().getRaw().toByteArray());
            header.writeBytes(new byte[] {'\r', '\n'});
        }
        return name.startsWith("content-")
                && body != null
                && NAMED.matcher(body).find();
    }

    private static boolean isAttachment(MimeTokenStream tokens, boolean named) {
        String type = tokens.getBodyDescriptor().getMimeType();
        return named || !type.startsWith("text/") || type.equals("text/calendar");
    }
}
