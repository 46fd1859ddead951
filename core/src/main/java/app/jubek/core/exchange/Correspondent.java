package app.jubek.core.exchange;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.Role;
import app.jubek.core.message.SentBy;
import app.jubek.core.outgoing.HeaderBlock;
import app.jubek.core.outgoing.Stamp;
import app.jubek.core.reading.Origin;
import java.time.ZonedDateTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** The ways in which whoever gets mail answers it. */
public enum Correspondent {
    /** Answers each sender once, and no automatic reply. */
    PERSON {
        @Override
        List<MailAddress> answered(ReadMessage got) {
            return got.sentBy().contains(SentBy.AUTOMATIC_REPLY) ? List.of() : forAnswers(got);
        }
    },

    /** A program that keeps to RFC 3834: nothing automatic is answered, each return path once, and the answer is marked. */
    AUTOMATIC_REPLIER {
        @Override
        List<MailAddress> answered(ReadMessage got) {
            boolean automatic = Origin.autoSubmitted(got.fields()).isPresent()
                    || Origin.precedence(got.fields()).isPresent()
                    || got.fields().stream().anyMatch(field -> Origin.isListField(field.name()));
            return automatic ? List.of() : got.returnPath().address().stream().toList();
        }
    },

    /** A program that answers whatever it gets, always with a new message that bears no mark and refers to nothing. */
    ANSWERS_EVERYTHING {
        @Override
        List<MailAddress> answered(ReadMessage got) {
            return forAnswers(got);
        }
    };

    /** Who gets an answer to it. */
    abstract List<MailAddress> answered(ReadMessage got);

    /**
     * The answer to one message, which holds the subject and the text that it answers; empty where there is none.
     *
     * @param self who got it
     * @param before keys of the addresses that had an answer from there
     */
    public Optional<Posted> answer(
            ReadMessage got, MailAddress self, Set<String> before, String messageId, ZonedDateTime at) {
        List<MailAddress> to = answered(got).stream()
                .filter(MailAddress::canBeSentTo)
                .filter(one -> !one.sameAs(self))
                .filter(one -> this == ANSWERS_EVERYTHING || !before.contains(one.key()))
                .toList();
        if (to.isEmpty()) {
            return Optional.empty();
        }
        Optional<MailAddress> envelopeSender = this == AUTOMATIC_REPLIER ? Optional.empty() : Optional.of(self);
        HeaderBlock header = header(got, new Stamp(self, to.get(0), messageId, at), to);
        String text = "We have your message.\n\n" + String.join("\n\n", got.texts());
        return Optional.of(new Posted(envelopeSender, to, header.message(text)));
    }

    private HeaderBlock header(ReadMessage got, Stamp stamp, List<MailAddress> to) {
        HeaderBlock header = new HeaderBlock()
                .with("From", stamp.from())
                .with("To", to)
                .withText("Subject", subject(got.subject()))
                .raw("Date", stamp.date())
                .raw("Message-ID", stamp.messageId());
        if (this != ANSWERS_EVERYTHING) {
            got.messageId().ifPresent(id -> header.raw("In-Reply-To", id).raw("References", id));
        }
        if (this == AUTOMATIC_REPLIER) {
            header.raw("Auto-Submitted", "auto-replied");
        }
        return header;
    }

    private String subject(String answered) {
        return switch (this) {
            case PERSON -> "Re: " + answered;
            case AUTOMATIC_REPLIER -> "Auto: " + answered;
            case ANSWERS_EVERYTHING -> answered;
        };
    }

    private static List<MailAddress> forAnswers(ReadMessage got) {
        List<MailAddress> named = got.in(Role.REPLY_TO);
        return named.isEmpty() ? got.in(Role.FROM) : named;
    }
}
