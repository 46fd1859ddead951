package app.jubek.core.message;

import app.jubek.core.address.MailAddress;
import app.jubek.core.text.WhiteSpace;
import app.jubek.core.wording.Statement;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.james.mime4j.dom.address.Mailbox;
import org.apache.james.mime4j.field.address.LenientAddressParser;
import org.apache.james.mime4j.stream.ParserCursor;
import org.apache.james.mime4j.util.ByteSequence;
import org.apache.james.mime4j.util.ContentUtil;

/**
 * The addresses of one field; groups are flattened, empty groups are legal (RFC 5322 §3.4, RFC 6854).
 *
 * @param left why some were left out; empty when none were
 */
public record AddressList(List<MailAddress> addresses, Optional<ReadingNote> left) {

    public static AddressList read(String raw, int limit) {
        try {
            List<MailAddress> all = new ArrayList<>();
            Optional<ReadingNote> left = Optional.empty();
            for (Mailbox mailbox : parsed(raw).flatten()) {
                if (all.size() == limit) {
                    left = Optional.of(ReadingNote.ADDRESSES_LEFT);
                    break;
                }
                address(mailbox).ifPresent(all::add);
            }
            return new AddressList(List.copyOf(all), left);
        } catch (RuntimeException unreadable) {
            return new AddressList(List.of(), Optional.of(ReadingNote.NO_ADDRESSES));
        }
    }

    /** What of the field was not read. */
    public Optional<Statement> note(String field) {
        return left.map(note -> note.with(field, addresses.size()));
    }

    /** By its bytes, as the parser counts them: a letter beyond ASCII has several (RFC 6532 §3.2). */
    private static org.apache.james.mime4j.dom.address.AddressList parsed(String raw) {
        ByteSequence bytes = ContentUtil.encode(StandardCharsets.UTF_8, raw);
        return LenientAddressParser.DEFAULT.parseAddressList(bytes, new ParserCursor(0, bytes.length()));
    }

    private static Optional<MailAddress> address(Mailbox mailbox) {
        String local = mailbox.getLocalPart() == null ? "" : mailbox.getLocalPart();
        String domain = mailbox.getDomain() == null ? "" : mailbox.getDomain();
        String name = mailbox.getName() == null ? "" : EncodedWords.decode(mailbox.getName());
        if (local.isEmpty() && domain.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new MailAddress(WhiteSpace.collapsed(name), local, domain));
    }
}
