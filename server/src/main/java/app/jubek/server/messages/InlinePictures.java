package app.jubek.server.messages;

import app.jubek.core.message.ByteSource;
import app.jubek.core.text.Limits;
import java.io.IOException;
import java.io.InputStream;
import java.util.Base64;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.apache.james.mime4j.MimeException;
import org.apache.james.mime4j.parser.AbstractContentHandler;
import org.apache.james.mime4j.parser.MimeStreamParser;
import org.apache.james.mime4j.stream.BodyDescriptor;
import org.apache.james.mime4j.stream.Field;
import org.apache.james.mime4j.stream.MimeConfig;

/** Pictures that the rich form of a message names by Content-ID (RFC 2392), as addresses that load nothing. */
final class InlinePictures extends AbstractContentHandler {
    private static final int LARGEST = 2 << 20;
    private static final int MOST = 8 << 20;
    private static final Set<String> TYPES = Set.of("image/png", "image/jpeg", "image/gif");

    private final Limits limits = Limits.standard();
    private final Map<String, String> found = new HashMap<>();
    private final MimeStreamParser parser;
    private Optional<String> contentId = Optional.empty();
    private int left = MOST;
    private int depth;
    private int parts;

    private InlinePictures(MimeStreamParser parser) {
        this.parser = parser;
    }

    /** By "cid:" and the id; as many as are not too much together. */
    static Map<String, String> of(ByteSource message) throws IOException {
        MimeConfig config = new MimeConfig.Builder()
                .setMaxLineLen(-1)
                .setMaxHeaderLen(Limits.standard().header())
                .setMaxHeaderCount(-1)
                .build();
        MimeStreamParser parser = new MimeStreamParser(config);
        InlinePictures pictures = new InlinePictures(parser);
        parser.setContentHandler(pictures);
        parser.setContentDecoding(true);
        parser.setNoRecurse();
        try (InputStream in = message.open()) {
            parser.parse(in);
        } catch (MimeException unreadable) {
            return pictures.found; // the text is shown all the same
        }
        return pictures.found;
    }

    @Override
    public void startHeader() {
        contentId = Optional.empty();
    }

    @Override
    public void field(Field field) {
        if (field.getName().equalsIgnoreCase("Content-ID")) {
            String written = Optional.ofNullable(field.getBody()).orElse("").strip();
            boolean bracketed = written.startsWith("<") && written.endsWith(">");
            contentId = Optional.of(bracketed ? written.substring(1, written.length() - 1) : written);
        }
    }

    @Override
    public void startMultipart(BodyDescriptor descriptor) {
        stopAt(++depth > limits.depth());
    }

    @Override
    public void endMultipart() {
        depth--;
    }

    @Override
    public void body(BodyDescriptor descriptor, InputStream content) throws IOException {
        stopAt(++parts > limits.parts());
        if (depth > 0 && contentId.isPresent() && TYPES.contains(descriptor.getMimeType())) {
            byte[] bytes = content.readNBytes(Math.min(LARGEST, left));
            left -= bytes.length;
            String picture = "data:" + descriptor.getMimeType() + ";base64,"
                    + Base64.getEncoder().encodeToString(bytes);
            found.put("cid:" + contentId.get(), picture);
            stopAt(left == 0);
        }
    }

    private void stopAt(boolean limit) {
        if (limit) {
            parser.stop();
        }
    }
}
