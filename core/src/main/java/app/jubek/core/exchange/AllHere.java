package app.jubek.core.exchange;

import app.jubek.core.address.MailAddress;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** All mailboxes here, found by their addresses; for one thread. */
final class AllHere {
    private final List<MailboxHere> mailboxes;
    private final Map<MailAddress, Optional<MailboxHere>> found = new HashMap<>();
    private final Map<String, Boolean> inside = new HashMap<>();

    AllHere(List<MailboxHere> mailboxes) {
        this.mailboxes = List.copyOf(mailboxes);
    }

    List<MailboxHere> mailboxes() {
        return mailboxes;
    }

    Optional<MailboxHere> at(MailAddress address) {
        return found.computeIfAbsent(
                address,
                sought -> mailboxes.stream()
                        .filter(mailbox -> mailbox.own().isOwn(sought))
                        .findFirst());
    }

    boolean isHere(MailAddress address) {
        return at(address).isPresent();
    }

    /** Whether it is in a domain of ours. */
    boolean isInside(MailAddress address) {
        return inside.computeIfAbsent(
                address.domain(),
                domain -> mailboxes.stream().anyMatch(mailbox -> mailbox.own().isInside(address)));
    }
}
