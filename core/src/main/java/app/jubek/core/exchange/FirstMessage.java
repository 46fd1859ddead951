package app.jubek.core.exchange;

import app.jubek.core.address.MailAddress;
import app.jubek.core.corpus.PastMessage;
import app.jubek.core.message.AddressList;
import app.jubek.core.message.Role;
import app.jubek.core.outgoing.HeaderBlock;
import app.jubek.core.rule.Rule;
import app.jubek.core.sample.MadeUp;
import app.jubek.core.sample.SampleMessage;
import java.util.List;
import java.util.Optional;

/** A message with which an exchange begins, written by a person. */
record FirstMessage(MailAddress from, MailAddress to, String subject, String text) {
    private static final MailAddress SOMEBODY = MailAddress.of("somebody@sender.example");
    private static final int LONGEST_TEXT = 4_000;

    /** Such as a rule picks, by what it lists. */
    static FirstMessage madeFor(Rule rule, MailAddress mailbox) {
        SampleMessage made = MadeUp.meeting(rule.picksOut());
        return new FirstMessage(first(made.from(), SOMEBODY), first(made.to(), mailbox), made.subject(), made.text());
    }

    private static MailAddress first(String written, MailAddress otherwise) {
        return AddressList.read(written, 1).addresses().stream().findFirst().orElse(otherwise);
    }

    /** Like one of past mail. */
    static Optional<FirstMessage> like(PastMessage past, MailAddress mailbox) {
        String text = String.join("\n\n", past.message().texts());
        return past.message().in(Role.FROM).stream()
                .filter(MailAddress::canBeSentTo)
                .findFirst()
                .map(from -> new FirstMessage(
                        from.named(""),
                        mailbox,
                        past.subject(),
                        text.substring(0, Math.min(text.length(), LONGEST_TEXT))));
    }

    Posted posted() {
        byte[] message = new HeaderBlock()
                .with("From", from)
                .with("To", to)
                .withText("Subject", subject)
                .raw("Message-ID", "<first@" + from.domain() + ">")
                .message(text);
        return new Posted(Optional.of(from.named("")), List.of(to), message);
    }
}
