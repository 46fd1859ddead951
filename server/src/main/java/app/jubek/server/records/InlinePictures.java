package app.jubek.server.records;

import app.jubek.core.message.Octets;
import jakarta.mail.BodyPart;
import jakarta.mail.MessagingException;
import jakarta.mail.Multipart;
import jakarta.mail.Part;
import jakarta.mail.Session;
import jakarta.mail.internet.MimeMessage;
import java.io.IOException;
import java.io.InputStream;
import java.util.Base64;
import java.util.HashMap;
import java.util.Map;
import java.util.Properties;

/** Pictures that the rich form of a message names by Content-ID (RFC 2392), as addresses that load nothing. */
final class InlinePictures {
    private static final int LARGEST = 2 << 20;

    private InlinePictures() {}

    /** By "cid:" and the id. */
    static Map<String, String> of(Octets message) throws IOException {
        Map<String, String> found = new HashMap<>();
        try (InputStream in = message.open()) {
            collect(new MimeMessage(Session.getInstance(new Properties()), in), found);
        } catch (MessagingException unreadable) {
            // The text is shown all the same.
        }
        return found;
    }

    private static void collect(Part part, Map<String, String> found) throws MessagingException, IOException {
        if (part.isMimeType("multipart/*") && part.getContent() instanceof Multipart parts) {
            for (int i = 0; i < parts.getCount(); i++) {
                collect(parts.getBodyPart(i), found);
            }
            return;
        }
        String[] id = part.getHeader("Content-ID");
        String type = part.getContentType().split(";")[0].strip().toLowerCase(java.util.Locale.ROOT);
        if (part instanceof BodyPart && id != null && type.matches("image/(?:png|jpeg|gif)")) {
            try (InputStream in = part.getInputStream()) {
                byte[] octets = in.readNBytes(LARGEST);
                found.put(
                        "cid:" + id[0].strip().replaceAll("^<|>$", ""),
                        "data:" + type + ";base64," + Base64.getEncoder().encodeToString(octets));
            }
        }
    }
}
