package app.jubek.core.people;

import app.jubek.core.address.Domains;
import app.jubek.core.address.MailAddress;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Our side of the mail: who the mailbox is.
 *
 * @param identity the address and name the mailbox writes as
 * @param addresses every address that reaches the mailbox, the identity's own among them
 * @param domains the organisation's own domains, as A-labels; subdomains belong to them
 */
public record OwnSide(MailAddress identity, List<MailAddress> addresses, List<String> domains) {
    public OwnSide {
        addresses = List.copyOf(addresses);
        domains = domains.stream().map(Domains::toAscii).toList();
    }

    public boolean isOwn(MailAddress address) {
        return keys().contains(address.key()) || keys().contains(address.user() + "@" + address.domain());
    }

    /** Whether mail to this address stays inside the organisation. */
    public boolean isInside(MailAddress address) {
        return domains.stream().anyMatch(own -> Domains.isAtOrBelow(address.domain(), own));
    }

    private Set<String> keys() {
        Set<String> keys = addresses.stream().map(MailAddress::key).collect(Collectors.toSet());
        keys.add(identity.key());
        return keys;
    }
}
