package app.jubek.core.sample;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.AddressList;
import app.jubek.core.message.ByteSource;
import app.jubek.core.outgoing.HeaderBlock;
import app.jubek.core.reading.MessageReading;
import app.jubek.core.text.Limits;
import app.jubek.core.view.MessageContext;
import app.jubek.core.view.MessageView;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * A message written on the spot, to see what a rule or a template makes of it.
 *
 * @param to the mailbox where it is blank
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
    /** What marks a message that no person wrote to us. */
    public enum SentBy {
        /** RFC 3834 §5. */
        AUTOMATICALLY("Auto-Submitted", "auto-generated"),
        /** RFC 2919. */
        A_LIST("List-Id", "<members.list.example>"),
        /** RFC 3834 §2. */
        MASS_MAIL("Precedence", "bulk");

        private final String field;
        private final String value;

        SentBy(String field, String value) {
            this.field = field;
            this.value = value;
        }
    }

    /**
     * @param identity of the mailbox it comes to
     * @param now of one that comes in now
     */
    public MessageView view(MailAddress identity, MessageContext now) {
        return new MessageView(
                new MessageReading(Limits.standard()).read(bytes(identity).all()),
                received.map(now::cameIn).orElse(now));
    }

    /** Line ends in what was written begin no other field. */
    public ByteSource bytes(MailAddress identity) {
        HeaderBlock header = new HeaderBlock();
        List<MailAddress> senders = addresses(from);
        senders.stream().findFirst().ifPresent(sender -> header.raw("Return-Path", "<" + sender.address() + ">"));
        header.with("From", senders);
        header.with("To", to.isBlank() ? List.of(identity.named("")) : addresses(to));
        header.withText("Subject", subject.strip());
        sentBy.ifPresent(by -> header.raw(by.field, by.value));
        List<String> files = attachment.map(String::strip).filter(name -> !name.isEmpty()).stream()
                .toList();
        return ByteSource.of(header.message(text, files));
    }

    private static List<MailAddress> addresses(String written) {
        return AddressList.read(written, Limits.standard().addresses()).addresses();
    }
}
