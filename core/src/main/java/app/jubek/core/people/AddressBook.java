package app.jubek.core.people;

import app.jubek.core.address.MailAddress;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The people and groups a mailbox knows, at one moment.
 */
public final class AddressBook {
    private final Map<String, Person> byAddress = new HashMap<>();
    private final Map<String, PeopleGroup> byName = new HashMap<>();

    private AddressBook() {}

    /** Where two people share an address, it is the first one's. */
    public static AddressBook of(List<Person> people, List<PeopleGroup> groups) {
        AddressBook book = new AddressBook();
        people.forEach(
                person -> person.addresses().forEach(address -> book.byAddress.putIfAbsent(address.key(), person)));
        groups.forEach(group -> book.byName.putIfAbsent(key(group.name()), group));
        return book;
    }

    public static AddressBook empty() {
        return new AddressBook();
    }

    public Optional<Person> person(MailAddress address) {
        return Optional.ofNullable(byAddress.get(address.key()));
    }

    public boolean knows(MailAddress address) {
        return byAddress.containsKey(address.key());
    }

    /** Everybody in a group; nobody where there is no such group. */
    public List<MailAddress> members(String group) {
        return Optional.ofNullable(byName.get(key(group)))
                .map(PeopleGroup::members)
                .orElse(List.of());
    }

    /** Those who are named, and everybody in some groups, each once. */
    public List<MailAddress> everybody(List<MailAddress> named, List<String> groups) {
        return Stream.concat(named.stream(), groups.stream().map(this::members).flatMap(List::stream))
                .distinct()
                .toList();
    }

    public boolean isIn(String group, MailAddress address) {
        return members(group).stream().anyMatch(address::sameAs);
    }

    private static String key(String name) {
        return name.strip().toLowerCase(Locale.ROOT);
    }
}
