package app.jubek.core.outgoing;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.Role;
import app.jubek.core.safety.HopMark;
import app.jubek.core.step.ForwardOptions;
import app.jubek.core.template.Letter;
import java.io.ByteArrayOutputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/**
 * A new message with the original's text inline under its main fields, and its attachments bit for bit. Where the rule
 * says so, or the original could be read only in part, the whole of it goes along as an attached message instead.
 */
final class ForwardedMessage {
    private final Composer.Original original;
    private final ForwardOptions options;
    private final Letter note;
    private final String hopMark;
    private final FootLine foot;

    ForwardedMessage(Composer.Original original, ForwardOptions options, Letter note, String hopMark, FootLine foot) {
        this.foot = foot;
        this.original = original;
        this.options = options;
        this.note = note;
        this.hopMark = hopMark;
    }

    byte[] bytes(Stamp stamp, DocumentContents documents) {
        ReadMessage message = original.message();
        LetterParts parts = new LetterParts(note, documents, stamp.messageId());
        boolean inline = message.notes().isEmpty() && !options.attached();
        List<MimePart> all = new ArrayList<>();
        if (inline) {
            InlineOriginal below = new InlineOriginal(message);
            String html = below.html(note.html(), note.text());
            all.add(parts.words(below.text(note.text()) + foot.text(), html.isEmpty() ? "" : html + foot.html()));
            AttachedParts.of(original.bytes().all()).forEach(part -> all.add(new MimePart(part)));
        } else {
            String html = note.html().isEmpty() ? "" : note.html() + foot.html();
            all.add(parts.words(note.text() + foot.text(), html));
            all.add(MimePart.message(original.bytes().all()));
        }
        all.addAll(parts.documents());
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.writeBytes(header(stamp).bytes());
        out.writeBytes(MimePart.multipart("mixed", stamp.messageId(), all).bytes());
        return out.toByteArray();
    }

    private HeaderBlock header(Stamp stamp) {
        ReadMessage message = original.message();
        HeaderBlock header = new HeaderBlock()
                .with("From", stamp.from())
                .with("To", stamp.to())
                .withText("Subject", options.subject().of(message.subject()))
                .raw("Date", stamp.date())
                .raw("Message-ID", stamp.messageId());
        header.with("Reply-To", answersTo(stamp.from()));
        List<String> references = ReplyMessage.references(message);
        if (!references.isEmpty()) {
            header.raw("References", String.join(" ", references));
        }
        return header.raw("Auto-Submitted", "auto-generated")
                .raw(HopMark.FIELD, hopMark)
                .raw("MIME-Version", "1.0");
    }

    /** Nobody where answers go to the identity anyway. */
    private List<MailAddress> answersTo(MailAddress us) {
        if (options.answers() == ForwardOptions.AnswersGo.TO_US) {
            return List.of();
        }
        ReadMessage message = original.message();
        List<MailAddress> senders =
                message.in(Role.REPLY_TO).isEmpty() ? message.in(Role.FROM) : message.in(Role.REPLY_TO);
        Stream<MailAddress> ours =
                options.answers() == ForwardOptions.AnswersGo.TO_BOTH ? Stream.of(us) : Stream.empty();
        return Stream.concat(senders.stream(), ours).toList();
    }
}
