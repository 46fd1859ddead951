package app.jubek.core.bounce;

import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.ReportPart;
import app.jubek.core.message.Role;
import app.jubek.core.message.SentBy;
import app.jubek.core.reading.BounceSigns;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What a message tells of the way of another one.
 *
 * @param deliveries by report (RFC 3464 §2.3), else as far as prose tells
 * @param originals Message-IDs of the other one, with angle brackets: its own, and those of redirects
 */
public record Bounce(List<Delivery> deliveries, Set<String> originals) {
    private static final int MOST_IDS = 20;

    public Bounce {
        deliveries = List.copyOf(deliveries);
        originals = Set.copyOf(originals);
    }

    /** Empty for all other mail, also for automatic replies from the null path. */
    public static Optional<Bounce> of(ReadMessage message) {
        if (!message.sentBy().contains(SentBy.BOUNCE)) {
            return Optional.empty();
        }
        List<Delivery> reported = message.report().stream()
                .filter(ReportPart::isStatus)
                .flatMap(part -> StatusFields.deliveries(part.text()).stream())
                .toList();
        boolean told =
                new BounceSigns(message.subject(), message.texts()).areIn(message.in(Role.FROM), message.returnPath());
        List<Delivery> deliveries =
                reported.isEmpty() && told ? Prose.of(message).deliveries() : reported;
        return deliveries.isEmpty() ? Optional.empty() : Optional.of(new Bounce(deliveries, originals(message)));
    }

    /** References name a whole conversation, of which other messages got there: they count only without the original. */
    private static Set<String> originals(ReadMessage message) {
        Set<String> ids = new LinkedHashSet<>();
        Stream<String> headers =
                message.report().stream().filter(part -> !part.isStatus()).map(ReportPart::text);
        Stream.concat(headers, message.texts().stream())
                .flatMap(text -> StatusFields.messageIds(text).stream())
                .limit(MOST_IDS)
                .forEach(ids::add);
        if (ids.isEmpty()) {
            message.references().stream().limit(MOST_IDS).forEach(ids::add);
        }
        return ids;
    }

    /** What became of it on the way to one address; of a message that had but one recipient, whoever is named. */
    public Delivery to(String address) {
        return deliveries.stream()
                .filter(delivery -> delivery.address().equals(address))
                .findFirst()
                .orElse(deliveries.get(0));
    }

    /** Whether it says that nothing gets to this address. */
    public boolean isAbout(String address) {
        return deliveries.stream()
                .anyMatch(delivery -> delivery.outcome() == Delivery.Outcome.FAILED
                        && delivery.address().equals(address));
    }
}
