package app.jubek.core.step;

import app.jubek.core.address.MailAddress;
import app.jubek.core.wording.Argument;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** Destinations of a step that hands on. */
final class Destinations {
    private Destinations() {}

    static List<MailAddress> checked(List<MailAddress> to, List<String> groups) {
        List<MailAddress> once = new ArrayList<>();
        for (MailAddress address : to) {
            if (once.stream().noneMatch(address::sameAs)) {
                once.add(address);
            }
        }
        if (once.isEmpty() && groups.isEmpty()) {
            throw new IllegalArgumentException("name at least one address to hand the message on to");
        }
        return List.copyOf(once);
    }

    static Argument argument(List<MailAddress> to, List<String> groups) {
        return Argument.and(Stream.<Object>concat(
                        to.stream().map(MailAddress::address), groups.stream().map(StepPhrase.GROUP::with))
                .toList());
    }
}
