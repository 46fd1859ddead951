package app.jubek.server.addressbook;

import app.jubek.core.address.MailAddress;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Trait;
import app.jubek.core.criteria.TraitCriterion;
import app.jubek.core.people.Duplicates;
import app.jubek.core.people.PeopleGroup;
import app.jubek.core.people.Person;
import app.jubek.core.rule.Rule;
import app.jubek.core.step.Step;
import app.jubek.server.account.Allowed;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.Refused;
import app.jubek.server.rulebook.RuleBooks;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** People and groups: who mail is handed on to, and whom criteria know. */
@RestController
class AddressBookController {
    private final AddressBooks books;
    private final RuleBooks rules;
    private final Mailboxes mailboxes;

    AddressBookController(AddressBooks books, RuleBooks rules, Mailboxes mailboxes) {
        this.books = books;
        this.rules = rules;
        this.mailboxes = mailboxes;
    }

    /** A person as they are written down; the first address is the one to write to. */
    record PersonText(String name, List<String> addresses, String organisation, String phone, String note) {

        private Person person(String id) {
            return new Person(id, name, addresses.stream().map(MailAddress::of).toList(), organisation, phone, note);
        }
    }

    record PersonView(String id, PersonText written) {}

    record GroupText(String name, List<String> members) {}

    /**
     * @param usedBy names of the rules that ask for it or hand on to it
     */
    record GroupView(String id, GroupText written, List<String> usedBy) {}

    /**
     * @param duplicates ids of people that seem to be one, each time two or more
     * @param ownDomains of the organisation: mail to addresses there stays inside
     */
    record AddressBookView(
            List<PersonView> people, List<GroupView> groups, List<List<String>> duplicates, List<String> ownDomains) {}

    @GetMapping("/api/mailboxes/{mailbox}/address-book")
    AddressBookView book(@Allowed UUID mailbox) {
        List<Person> people = books.people(mailbox);
        return new AddressBookView(
                people.stream().map(AddressBookController::view).toList(),
                books.groups(mailbox).stream()
                        .map(group -> view(mailbox, group))
                        .toList(),
                Duplicates.in(people).stream()
                        .map(same -> same.stream().map(Person::id).toList())
                        .toList(),
                mailboxes.find(mailbox).own().domains());
    }

    @PutMapping("/api/mailboxes/{mailbox}/people/{person}")
    PersonView savePerson(@Allowed UUID mailbox, @PathVariable String person, @RequestBody PersonText written) {
        Person next = written.person(id(person));
        books.save(mailbox, next);
        return view(next);
    }

    @DeleteMapping("/api/mailboxes/{mailbox}/people/{person}")
    void removePerson(@Allowed UUID mailbox, @PathVariable String person) {
        books.removePerson(mailbox, person);
    }

    /**
     * @param people ids of two or more, the first of which stays
     */
    record Merge(List<String> people) {}

    /** Makes one of several entries; nothing that was known is lost. */
    @PostMapping("/api/mailboxes/{mailbox}/people/merge")
    PersonView merge(@Allowed UUID mailbox, @RequestBody Merge merge) {
        List<Person> all = books.people(mailbox);
        List<Person> same = merge.people().stream()
                .distinct()
                .flatMap(id -> all.stream().filter(person -> person.id().equals(id)))
                .toList();
        if (same.size() < 2) {
            throw Refused.invalid("Name at least two people to make one of.", List.of());
        }
        Person one = same.stream().reduce(Person::with).orElseThrow();
        books.save(mailbox, one);
        same.stream().skip(1).forEach(other -> books.removePerson(mailbox, other.id()));
        return view(one);
    }

    @PutMapping("/api/mailboxes/{mailbox}/groups/{group}")
    GroupView saveGroup(@Allowed UUID mailbox, @PathVariable String group, @RequestBody GroupText written) {
        PeopleGroup next = new PeopleGroup(
                id(group),
                written.name(),
                written.members().stream().map(MailAddress::of).toList());
        books.groups(mailbox).stream()
                .filter(was -> was.id().equals(next.id()) && !was.name().equalsIgnoreCase(next.name()))
                .forEach(was -> unused(mailbox, was.name(), "renamed"));
        books.save(mailbox, next);
        return view(mailbox, next);
    }

    @DeleteMapping("/api/mailboxes/{mailbox}/groups/{group}")
    void removeGroup(@Allowed UUID mailbox, @PathVariable String group) {
        books.groups(mailbox).stream()
                .filter(was -> was.id().equals(group))
                .forEach(was -> unused(mailbox, was.name(), "removed"));
        books.removeGroup(mailbox, group);
    }

    private void unused(UUID mailbox, String name, String what) {
        List<String> users = usedBy(mailbox, name);
        if (!users.isEmpty()) {
            throw Refused.conflict(
                    "The group can’t be " + what + " while " + String.join(", ", users) + " asks for it by its name.",
                    Map.of());
        }
    }

    private List<String> usedBy(UUID mailbox, String group) {
        return rules.current(mailbox).book().all().stream()
                .filter(rule -> groups(rule).anyMatch(group::equalsIgnoreCase))
                .map(Rule::name)
                .toList();
    }

    private static Stream<String> groups(Rule rule) {
        Stream<String> asked = Stream.of(rule.picksOut(), rule.leavesOut())
                .flatMap(AddressBookController::tests)
                .flatMap(test -> test instanceof TraitCriterion traits ? traits.traits().stream() : Stream.empty())
                .flatMap(trait -> trait instanceof Trait.InGroup in ? Stream.of(in.group()) : Stream.empty());
        Stream<String> handedTo = rule.steps().stream()
                .flatMap(step -> step instanceof Step.HandOn handOn ? handOn.groups().stream() : Stream.empty());
        return Stream.concat(asked, handedTo);
    }

    private static Stream<? extends Criterion> tests(Criterion criterion) {
        return criterion.tests().stream();
    }

    private static PersonView view(Person person) {
        return new PersonView(
                person.id(),
                new PersonText(
                        person.name(),
                        person.addresses().stream().map(MailAddress::address).toList(),
                        person.organisation(),
                        person.phone(),
                        person.note()));
    }

    private GroupView view(UUID mailbox, PeopleGroup group) {
        return new GroupView(
                group.id(),
                new GroupText(
                        group.name(),
                        group.members().stream().map(MailAddress::address).toList()),
                usedBy(mailbox, group.name()));
    }

    private static String id(String written) {
        try {
            return UUID.fromString(written).toString();
        } catch (IllegalArgumentException notOne) {
            throw Refused.notFound();
        }
    }
}
