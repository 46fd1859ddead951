package app.jubek.core.outgoing;

import app.jubek.core.address.MailAddress;
import app.jubek.core.text.Unsafe;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.james.mime4j.codec.EncoderUtil;
import org.apache.james.mime4j.util.MimeUtil;

/** Header fields as they go out: ASCII, folded, and never more fields than were asked for. */
public final class HeaderBlock {
    private final StringBuilder lines = new StringBuilder();

    public HeaderBlock with(String name, MailAddress address) {
        return raw(name, written(address));
    }

    /** No field for nobody. */
    public HeaderBlock with(String name, List<MailAddress> addresses) {
        return addresses.isEmpty()
                ? this
                : raw(name, addresses.stream().map(HeaderBlock::written).collect(Collectors.joining(", ")));
    }

    private static String written(MailAddress address) {
        String shown = clean(address.name());
        return shown.isEmpty()
                ? address.address()
                : EncoderUtil.encodeAddressDisplayName(shown) + " <" + address.address() + ">";
    }

    public HeaderBlock withText(String name, String text) {
        return raw(name, EncoderUtil.encodeIfNecessary(clean(text), EncoderUtil.Usage.TEXT_TOKEN, name.length() + 2));
    }

    /** A value that is a token or ids of ours. */
    public HeaderBlock raw(String name, String value) {
        lines.append(MimeUtil.fold(name + ": " + clean(value), 0)).append("\r\n");
        return this;
    }

    /** The whole message, of these fields and a plain text (RFC 2046 §4.1.3). */
    public byte[] message(String text) {
        return message(text, List.of());
    }

    /**
     * The same with files that have a name and next to nothing in them.
     *
     * @param files their names
     */
    public byte[] message(String text, List<String> files) {
        List<MimePart> parts = Stream.concat(
                        Stream.of(MimePart.plain(text)),
                        files.stream().map(name -> MimePart.attached("application/octet-stream", name, new byte[1])))
                .toList();
        ByteArrayOutputStream message = new ByteArrayOutputStream();
        message.writeBytes(raw("MIME-Version", "1.0").bytes());
        message.writeBytes(MimePart.multipart("mixed", text, parts).bytes());
        return message.toByteArray();
    }

    public byte[] bytes() {
        return lines.toString().getBytes(StandardCharsets.US_ASCII);
    }

    /** Nothing that could begin another field or hide in one. */
    static String clean(String value) {
        return Unsafe.removed(value);
    }
}
