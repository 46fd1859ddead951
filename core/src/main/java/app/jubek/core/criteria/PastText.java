package app.jubek.core.criteria;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.Subjects;
import app.jubek.core.text.Comparison;
import app.jubek.core.text.Folding;
import java.util.List;
import java.util.OptionalLong;

/**
 * What is kept of past mail for looking things up in it: its texts, folded once, and the addresses of its writers and
 * recipients. What else criteria may ask for is not told of past mail, and so not found.
 *
 * @param subject folded
 * @param texts folded, one for each text part
 * @param senderNames folded
 * @param senders From, as they are compared
 * @param recipients To and Cc, as they are compared
 */
public record PastText(
        String subject, List<String> texts, List<String> senderNames, List<String> senders, List<String> recipients)
        implements Searchable {
    public PastText {
        texts = List.copyOf(texts);
        senderNames = List.copyOf(senderNames);
        senders = List.copyOf(senders);
        recipients = List.copyOf(recipients);
    }

    public static PastText of(
            String subject, List<String> texts, List<MailAddress> from, List<MailAddress> recipients) {
        return new PastText(
                Folding.fold(subject),
                texts.stream().map(Folding::fold).toList(),
                from.stream().map(MailAddress::name).map(Folding::fold).toList(),
                from.stream().map(MailAddress::key).toList(),
                recipients.stream().map(MailAddress::key).toList());
    }

    @Override
    public List<String> texts(Part atom, Comparison comparison) {
        List<String> folded = folded(atom);
        return comparison == Comparison.WITHOUT_ACCENTS
                ? folded.stream().map(comparison::apply).toList()
                : folded;
    }

    private List<String> folded(Part atom) {
        return switch (atom.kind()) {
            case SUBJECT -> List.of(subject);
            case BARE_SUBJECT -> List.of(Subjects.bare(subject));
            case TEXT, ADDED_TEXT -> texts;
            case SENDER_NAME -> senderNames;
            case SENDER -> senders;
            case RECIPIENT -> recipients;
            default -> List.of();
        };
    }

    @Override
    public List<String> addresses(AddressTest.Part part) {
        return switch (part) {
            case SENDER -> senders;
            case RECIPIENT -> recipients;
            case ANY ->
                java.util.stream.Stream.concat(senders.stream(), recipients.stream())
                        .toList();
            default -> List.of();
        };
    }

    @Override
    public boolean has(Part atom) {
        return !folded(atom).isEmpty();
    }

    @Override
    public boolean has(Trait trait) {
        return false;
    }

    @Override
    public long count(Part part) {
        return part.atoms().stream().mapToLong(atom -> folded(atom).size()).sum();
    }

    @Override
    public OptionalLong measure(NumberTest.Measure measure) {
        return OptionalLong.empty();
    }
}
