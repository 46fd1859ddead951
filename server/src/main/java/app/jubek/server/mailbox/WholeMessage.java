package app.jubek.server.mailbox;

import jakarta.mail.Flags;
import jakarta.mail.MessagingException;
import java.io.IOException;
import java.io.OutputStream;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.Date;
import java.util.List;
import java.util.Optional;
import org.eclipse.angus.mail.iap.Literal;
import org.eclipse.angus.mail.imap.IMAPFolder;
import org.eclipse.angus.mail.imap.protocol.BODY;
import org.eclipse.angus.mail.imap.protocol.FLAGS;
import org.eclipse.angus.mail.imap.protocol.FetchResponse;

/** A message with its flags and its date of arrival, to be put into a folder of another mailbox (RFC 9051 §6.3.12). */
public record WholeMessage(Optional<String> messageId, byte[] bytes, Flags flags, Instant received) {

    /** Fetched without marking it; empty when it is gone by now. */
    public static Optional<WholeMessage> of(UidCommands commands, long uid, Optional<String> messageId)
            throws MessagingException {
        for (FetchResponse response : commands.fetched("UID FETCH " + uid + " (FLAGS INTERNALDATE BODY.PEEK[])")) {
            BODY body = response.getItem(BODY.class);
            if (body != null) {
                return Optional.of(new WholeMessage(
                        messageId, UidCommands.bytes(body), kept(response), UidCommands.received(response)));
            }
        }
        return Optional.empty();
    }

    /** \Recent is the server's own to set. */
    private static Flags kept(FetchResponse response) {
        Flags flags = new Flags();
        Optional.ofNullable(response.getItem(FLAGS.class)).ifPresent(flags::add);
        flags.remove(Flags.Flag.RECENT);
        flags.remove(Flags.Flag.DELETED);
        return flags;
    }

    /** Whether an open folder holds it, byte for byte. */
    public boolean isIn(UidCommands commands) throws MessagingException {
        return commands.contents(alike(commands), "BODY.PEEK[]").stream()
                .anyMatch(content -> Arrays.equals(content.bytes(), bytes));
    }

    private List<Long> alike(UidCommands commands) throws MessagingException {
        if (messageId.isPresent()) {
            return commands.like(messageId.get(), bytes.length);
        }
        LocalDate day = LocalDate.ofInstant(received.minus(Duration.ofDays(1)), ZoneOffset.UTC);
        return commands.list(commands.since(day)).stream()
                .filter(listed -> listed.size() == bytes.length)
                .map(UidCommands.Listed::uid)
                .toList();
    }

    public void appendTo(IMAPFolder folder) throws MessagingException {
        folder.doCommand(protocol -> {
            protocol.append(folder.getFullName(), flags, Date.from(received), new Content(bytes));
            return null;
        });
    }

    private record Content(byte[] bytes) implements Literal {
        @Override
        public int size() {
            return bytes.length;
        }

        @Override
        public void writeTo(OutputStream out) throws IOException {
            out.write(bytes);
        }
    }
}
