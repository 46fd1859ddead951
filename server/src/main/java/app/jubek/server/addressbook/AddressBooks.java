package app.jubek.server.addressbook;

import app.jubek.core.address.MailAddress;
import app.jubek.core.people.AddressBook;
import app.jubek.core.people.PeopleGroup;
import app.jubek.core.people.Person;
import app.jubek.formats.vcard.Cards;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.Refused;
import app.jubek.server.platform.SqlState;
import app.jubek.server.platform.WrittenId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The people and groups of each mailbox. A change makes the evidence look anew, since criteria ask for them. */
@Service
public class AddressBooks {
    private final PersonRepository people;
    private final GroupRepository groups;
    private final Mailboxes mailboxes;
    private final Map<UUID, Kept> kept = new ConcurrentHashMap<>();

    /** A book that is never older than the epoch beside it. */
    private record Kept(long epoch, AddressBook book) {}

    AddressBooks(PersonRepository people, GroupRepository groups, Mailboxes mailboxes) {
        this.people = people;
        this.groups = groups;
        this.mailboxes = mailboxes;
    }

    /** As rules see it: asked for at every message, so it is kept until it changes. */
    @Transactional(readOnly = true)
    public AddressBook of(UUID mailbox) {
        long epoch = mailboxes.evidenceEpoch(mailbox);
        return kept.compute(
                        mailbox,
                        (id, known) -> known != null && known.epoch() == epoch
                                ? known
                                : new Kept(epoch, AddressBook.of(people(mailbox), groups(mailbox))))
                .book();
    }

    @Transactional(readOnly = true)
    List<Person> people(UUID mailbox) {
        return people.byName(mailbox).stream().map(PersonEntity::person).toList();
    }

    @Transactional(readOnly = true)
    List<PeopleGroup> groups(UUID mailbox) {
        return groups.byName(mailbox).stream().map(GroupEntity::group).toList();
    }

    @Transactional
    void save(UUID mailbox, Person person) {
        noted(mailbox, store(mailbox, person));
    }

    private int store(UUID mailbox, Person person) {
        return people.put(
                UUID.fromString(person.id()),
                mailbox,
                person.name(),
                written(person.addresses()),
                person.organisation(),
                person.phone(),
                person.note());
    }

    /**
     * @throws Refused as a conflict, when another group has its name
     */
    @Transactional
    void save(UUID mailbox, PeopleGroup group) {
        try {
            int changed = groups.put(UUID.fromString(group.id()), mailbox, group.name(), written(group.members()));
            noted(mailbox, changed);
        } catch (DataIntegrityViolationException refused) {
            if (!SqlState.isTaken(refused)) {
                throw refused;
            }
            throw Refused.invalid(
                    "There is a group “" + group.name() + "” already: add to that one, or choose another name.",
                    List.of());
        }
    }

    /**
     * @param added people who were not there before
     * @param completed people who were, and about whom the cards say more or the same
     * @param notTaken what was left out and why
     */
    public record CardsTaken(int added, int completed, int groups, List<String> notTaken) {}

    /** A card that shares an address with somebody completes what is known of them, and takes nothing away. */
    @Transactional
    public CardsTaken take(UUID mailbox, Cards cards) {
        Map<String, Person> known = new HashMap<>();
        people(mailbox).forEach(person -> note(known, person));
        int completed = 0;
        for (Person card : cards.people()) {
            Optional<Person> same = card.addresses().stream()
                    .flatMap(address -> Optional.ofNullable(known.get(address.key())).stream())
                    .findFirst();
            Person next = same.map(person -> person.with(card)).orElse(card);
            completed += same.isPresent() ? 1 : 0;
            store(mailbox, next);
            note(known, next);
        }
        cards.groups().forEach(group -> save(mailbox, joined(mailbox, group)));
        mailboxes.evidenceChanged(mailbox);
        return new CardsTaken(
                cards.people().size() - completed, completed, cards.groups().size(), cards.notTaken());
    }

    private static void note(Map<String, Person> known, Person person) {
        person.addresses().forEach(address -> known.put(address.key(), person));
    }

    private PeopleGroup joined(UUID mailbox, PeopleGroup group) {
        return groups(mailbox).stream()
                .filter(known -> known.name().equalsIgnoreCase(group.name()))
                .findFirst()
                .map(known -> known.with(group.members()))
                .orElse(group);
    }

    private void noted(UUID mailbox, int changed) {
        if (changed == 0) {
            throw Refused.notFound();
        }
        mailboxes.evidenceChanged(mailbox);
    }

    @Transactional
    void removePerson(UUID mailbox, String id) {
        noted(
                mailbox,
                WrittenId.uuid(id).map(key -> people.remove(key, mailbox)).orElse(0));
    }

    @Transactional
    void removeGroup(UUID mailbox, String id) {
        noted(
                mailbox,
                WrittenId.uuid(id).map(key -> groups.remove(key, mailbox)).orElse(0));
    }

    private static String[] written(List<MailAddress> addresses) {
        return addresses.stream().map(MailAddress::address).toArray(String[]::new);
    }
}
