package app.jubek.server.pastmail;

import app.jubek.core.message.ByteSource;
import app.jubek.core.people.AddressBook;
import app.jubek.core.reading.MessageReading;
import app.jubek.core.text.Limits;
import app.jubek.core.text.Pieces;
import app.jubek.core.view.MessageContext;
import app.jubek.core.view.MessageView;
import app.jubek.server.mailbox.Mailbox;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.Optional;

/**
 * A message written on the spot, to see what a rule or a template makes of it.
 *
 * @param sentBy how it was sent; by a person where it is empty
 * @param attachment the name of a file that goes with it
 * @param received when it comes in; now where it is empty
 */
public record SampleMessage(
        String from,
        String to,
        String subject,
        String text,
        Optional<SentBy> sentBy,
        Optional<String> attachment,
        Optional<Instant> received) {
    private static final String BOUNDARY = "=_sample_message";

    /** What marks a message that no person wrote to us. */
    public enum SentBy {
        /** RFC 3834 §5. */
        AUTOMATICALLY("Auto-Submitted: auto-generated\r\n"),
        /** RFC 2919. */
        A_LIST("List-Id: <members.list.example>\r\n"),
        /** RFC 3834 §2. */
        MASS_MAIL("Precedence: bulk\r\n");

        private final String fields;

        SentBy(String fields) {
            this.fields = fields;
        }
    }

    public MessageView view(Mailbox mailbox, AddressBook people, Instant now) {
        MessageContext context = mailbox.contextOfInbox(people, received.orElse(now));
        return new MessageView(
                new MessageReading(Limits.standard()).read(bytes(mailbox).all()), context);
    }

    /** Line ends in its fields would begin another field. */
    public ByteSource bytes(Mailbox mailbox) {
        String recipient = to.isBlank() ? mailbox.own().identity().address() : to;
        String header = "Return-Path: <" + bare(line(from)) + ">\r\nFrom: " + line(from) + "\r\nTo: " + line(recipient)
                + "\r\nSubject: " + line(subject) + "\r\n"
                + sentBy.map(by -> by.fields).orElse("") + "MIME-Version: 1.0\r\n";
        return ByteSource.of((header + body()).getBytes(StandardCharsets.UTF_8));
    }

    private String body() {
        String plain = "Content-Type: text/plain; charset=utf-8\r\nContent-Transfer-Encoding: 8bit\r\n\r\n" + text;
        return attachment
                .map(SampleMessage::line)
                .filter(name -> !name.isEmpty())
                .map(name -> "Content-Type: multipart/mixed; boundary=\"" + BOUNDARY + "\"\r\n\r\n--" + BOUNDARY
                        + "\r\n"
                        + plain + "\r\n--" + BOUNDARY
                        + "\r\nContent-Type: application/octet-stream\r\nContent-Disposition: attachment; filename*=UTF-8''"
                        + URLEncoder.encode(name, StandardCharsets.UTF_8).replace("+", "%20") + "\r\n\r\nx\r\n--"
                        + BOUNDARY + "--\r\n")
                .orElse(plain);
    }

    /** The address of "Mara Lindqvist <mara@mailhaven.example>". */
    private static String bare(String sender) {
        int open = sender.indexOf('<');
        int close = sender.indexOf('>', open);
        return open >= 0 && close > open ? sender.substring(open + 1, close) : sender;
    }

    private static String line(String written) {
        return Pieces.replaced(written, Character::isISOControl, " ").strip();
    }
}
