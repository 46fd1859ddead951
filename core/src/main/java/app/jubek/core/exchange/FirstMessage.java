package app.jubek.core.exchange;

import app.jubek.core.address.MailAddress;
import app.jubek.core.corpus.PastMessage;
import app.jubek.core.criteria.AddressCriterion;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Group;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.matching.MatchType;
import app.jubek.core.message.Role;
import app.jubek.core.outgoing.HeaderBlock;
import app.jubek.core.rule.Rule;
import java.util.List;
import java.util.Optional;

/** A message with which an exchange begins, written by a person. */
record FirstMessage(MailAddress from, MailAddress to, String subject, String text) {
    private static final MailAddress SOMEBODY = MailAddress.of("somebody@sender.example");
    private static final int LONGEST_TEXT = 4_000;

    /** Such as a rule picks, by what it lists. */
    static FirstMessage madeFor(Rule rule, MailAddress mailbox) {
        return new FirstMessage(SOMEBODY, mailbox, "", "").meeting(rule.picksOut());
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

    private FirstMessage meeting(Criterion criterion) {
        if (criterion instanceof Group group) {
            return meeting(group);
        }
        if (criterion instanceof AddressCriterion address && !address.negated()) {
            return meeting(address);
        }
        return criterion instanceof TextCriterion words && !words.negated() && words.how() != MatchType.PATTERN
                ? meeting(words)
                : this;
    }

    private FirstMessage meeting(Group group) {
        FirstMessage made = this;
        List<Criterion> wanted = switch (group.how()) {
            case ALL -> group.criteria();
            case ANY -> group.criteria().subList(0, 1);
            case NONE -> List.of();
        };
        for (Criterion each : wanted) {
            made = made.meeting(each);
        }
        return made;
    }

    private FirstMessage meeting(AddressCriterion criterion) {
        String value = criterion.values().get(0);
        boolean whole = criterion.how() == AddressCriterion.AddressMatch.IS;
        MailAddress address = MailAddress.of(whole ? value : "somebody@" + value);
        return switch (criterion.part()) {
            case SENDER, RETURN_PATH, ANY -> new FirstMessage(address, to, subject, text);
            case RECIPIENT, TO, CC, DELIVERED_TO -> new FirstMessage(from, address, subject, text);
        };
    }

    private FirstMessage meeting(TextCriterion words) {
        String value = words.written().get(0).replace('*', ' ').replace('?', ' ');
        return switch (words.part().kind()) {
            case SUBJECT, BARE_SUBJECT, SUBJECT_OR_TEXT, SUBJECT_OR_ADDED_TEXT ->
                new FirstMessage(from, to, (subject + " " + value).strip(), text);
            case TEXT, ADDED_TEXT -> new FirstMessage(from, to, subject, (text + "\n" + value).strip());
            case SENDER_NAME -> new FirstMessage(from.named(value), to, subject, text);
            default -> this;
        };
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
