package app.jubek.server.review;

import app.jubek.core.address.MailAddress;
import app.jubek.core.exchange.MailGraph;
import app.jubek.core.exchange.MailboxHere;
import java.util.List;

/** What of an exchange may be shown: it may pass mailboxes that are not those of the one who looks. */
record Discretion(List<MailboxHere> shown, MailGraph graph) {
    boolean isTheirs(MailAddress address) {
        return shown.stream().anyMatch(mailbox -> mailbox.own().isOwn(address));
    }

    /** Whether rules that one may see name it anyway. */
    boolean isKnown(MailAddress address) {
        return isTheirs(address)
                || graph.nodes().stream().anyMatch(node -> node.id().equals(address.key()));
    }
}
