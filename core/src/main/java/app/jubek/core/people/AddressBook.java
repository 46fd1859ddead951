package app.jubek.core.people;

import app.jubek.core.address.MailAddress;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * The people a mailbox knows, at one moment.
 *
 * @param known addresses as they are compared ({@link MailAddress#key})
 * @param groups by name in lower case, the addresses in each
 */
public record AddressBook(Set<String> known, Map<String, Set<String>> groups) {
    public AddressBook {
        known = Set.copyOf(known);
        groups = groups.entrySet().stream()
                .collect(Collectors.toUnmodifiableMap(
                        e -> e.getKey().toLowerCase(Locale.ROOT), e -> Set.copyOf(e.getValue())));
    }

    public static AddressBook empty() {
        return new AddressBook(Set.of(), Map.of());
    }

    public boolean knows(MailAddress address) {
        return known.contains(address.key());
    }

    public boolean isIn(String group, MailAddress address) {
        return groups.getOrDefault(group.toLowerCase(Locale.ROOT), Set.of()).contains(address.key());
    }
}
