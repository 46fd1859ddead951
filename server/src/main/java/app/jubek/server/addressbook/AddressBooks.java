package app.jubek.server.addressbook;

import app.jubek.core.address.MailAddress;
import app.jubek.core.people.AddressBook;
import app.jubek.core.people.PeopleGroup;
import app.jubek.core.people.Person;
import app.jubek.formats.vcard.Cards;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.Refused;
import java.sql.Array;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The people and groups of each mailbox. A change makes the evidence look anew, since criteria ask for them. */
@Service
public class AddressBooks {
    private final JdbcClient jdbc;
    private final Mailboxes mailboxes;
    private final Map<UUID, Kept> kept = new ConcurrentHashMap<>();

    /** A book that is never older than the epoch beside it. */
    private record Kept(long epoch, AddressBook book) {}

    AddressBooks(JdbcClient jdbc, Mailboxes mailboxes) {
        this.jdbc = jdbc;
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
        return jdbc.sql("select * from person where mailbox_id = ? order by lower(name), addresses, id")
                .param(mailbox)
                .query((row, n) -> new Person(
                        row.getString("id"),
                        row.getString("name"),
                        addresses(row, "addresses"),
                        row.getString("organisation"),
                        row.getString("phone"),
                        row.getString("note")))
                .list();
    }

    @Transactional(readOnly = true)
    List<PeopleGroup> groups(UUID mailbox) {
        return jdbc.sql("select * from person_group where mailbox_id = ? order by lower(name)")
                .param(mailbox)
                .query((row, n) ->
                        new PeopleGroup(row.getString("id"), row.getString("name"), addresses(row, "members")))
                .list();
    }

    private static List<MailAddress> addresses(ResultSet row, String column) throws SQLException {
        Array written = row.getArray(column);
        return Arrays.stream((String[]) written.getArray()).map(MailAddress::of).toList();
    }

    @Transactional
    void save(UUID mailbox, Person person) {
        noted(mailbox, store(mailbox, person));
    }

    private int store(UUID mailbox, Person person) {
        return jdbc.sql("insert into person (id, mailbox_id, name, addresses, organisation, phone, note)"
                        + " values (?::uuid, ?, ?, ?, ?, ?, ?) on conflict (id) do update set name = excluded.name,"
                        + " addresses = excluded.addresses, organisation = excluded.organisation,"
                        + " phone = excluded.phone, note = excluded.note where person.mailbox_id = excluded.mailbox_id")
                .params(
                        person.id(),
                        mailbox,
                        person.name(),
                        written(person.addresses()),
                        person.organisation(),
                        person.phone(),
                        person.note())
                .update();
    }

    /**
     * @throws Refused as a conflict, when another group has its name
     */
    @Transactional
    void save(UUID mailbox, PeopleGroup group) {
        try {
            int changed = jdbc.sql("insert into person_group (id, mailbox_id, name, members) values (?::uuid, ?, ?, ?)"
                            + " on conflict (id) do update set name = excluded.name, members = excluded.members"
                            + " where person_group.mailbox_id = excluded.mailbox_id")
                    .params(group.id(), mailbox, group.name(), written(group.members()))
                    .update();
            noted(mailbox, changed);
        } catch (DuplicateKeyException taken) {
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
                jdbc.sql("delete from person where mailbox_id = ? and id::text = ?")
                        .params(mailbox, id)
                        .update());
    }

    @Transactional
    void removeGroup(UUID mailbox, String id) {
        noted(
                mailbox,
                jdbc.sql("delete from person_group where mailbox_id = ? and id::text = ?")
                        .params(mailbox, id)
                        .update());
    }

    private static String[] written(List<MailAddress> addresses) {
        return addresses.stream().map(MailAddress::address).toArray(String[]::new);
    }
}
