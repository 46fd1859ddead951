package app.jubek.core.people;

import app.jubek.core.address.Domains;
import app.jubek.core.address.MailAddress;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Our side of the mail: who the mailbox is.
 *
 * @param identity the address and name the mailbox writes as
 * @param addresses every address that matches the mailbox, the identity's own among them
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

    /** Whether a server is one of the organisation's, by its name. */
    public boolean isOurServer(String name) {
        return domains.stream().anyMatch(own -> Domains.isAtOrBelow(Domains.toAscii(name), own));
    }

    /** An own address with the name the mailbox writes under; empty where the address is not ours. */
    public Optional<MailAddress> writingAs(MailAddress address) {
        return keys().contains(address.key())
                ? Optional.of(address.named(address.name().isBlank() ? identity.name() : address.name()))
                : Optional.empty();
    }

    /** Every address that matches the mailbox, as addresses are compared. */
    public Set<String> keys() {
        Set<String> keys = addresses.stream().map(MailAddress::key).collect(Collectors.toSet());
        keys.add(identity.key());
        return keys;
    }
}
