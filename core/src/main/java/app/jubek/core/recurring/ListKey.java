package app.jubek.core.recurring;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.Role;
import app.jubek.core.message.SentBy;
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * Which mailing list handed a message out: by its List-Id (RFC 2919), else by the address to post to (RFC 2369 §3.4), else
 * by the address its failures go to, without what list programs put before or behind it (common practice), else by the
 * recipient that is not the mailbox.
 */
final class ListKey {
    private static final Pattern IN_BRACKETS = Pattern.compile("<([^<>]+)>");
    private static final Pattern MAILTO = Pattern.compile("mailto:([^>?]+)", Pattern.CASE_INSENSITIVE);
    private static final Pattern BOUNCES =
            Pattern.compile("^(?:owner-(.+)|(.+?)-(?:bounces?|admin|errors|return|request|owner)(?:[-+=].*)?)$");

    private ListKey() {}

    static Optional<String> of(ReadMessage message, Predicate<MailAddress> isOwn) {
        boolean list = message.sentBy().contains(SentBy.LIST);
        if (!list && !message.sentBy().contains(SentBy.BULK)) {
            return Optional.empty();
        }
        return id(message)
                .or(() -> post(message))
                .or(() -> failures(message))
                .or(() -> list ? recipient(message, isOwn) : Optional.empty());
    }

    private static Optional<String> id(ReadMessage message) {
        return message.values("List-Id").stream().findFirst().map(value -> {
            Matcher inside = IN_BRACKETS.matcher(value);
            return (inside.find() ? inside.group(1) : value).strip().toLowerCase(Locale.ROOT);
        });
    }

    private static Optional<String> post(ReadMessage message) {
        return message.values("List-Post").stream()
                .map(MAILTO::matcher)
                .filter(Matcher::find)
                .map(m -> m.group(1).strip().toLowerCase(Locale.ROOT))
                .findFirst();
    }

    private static Optional<String> failures(ReadMessage message) {
        Stream<MailAddress> to = Stream.of(
                        message.in(Role.SENDER),
                        message.returnPath().address().stream().toList(),
                        message.addressesIn("Errors-To"))
                .flatMap(List::stream);
        return to.flatMap(address -> {
                    Matcher bounces = BOUNCES.matcher(address.local().toLowerCase(Locale.ROOT));
                    return bounces.matches()
                            ? Stream.of((bounces.group(1) == null ? bounces.group(2) : bounces.group(1)) + "@"
                                    + address.domain())
                            : Stream.empty();
                })
                .findFirst();
    }

    private static Optional<String> recipient(ReadMessage message, Predicate<MailAddress> isOwn) {
        List<MailAddress> others =
                message.recipients().stream().filter(isOwn.negate()).toList();
        return others.stream().findFirst().map(MailAddress::key);
    }
}
