package app.jubek.formats.vcard;

import app.jubek.core.address.MailAddress;
import app.jubek.core.people.PeopleGroup;
import app.jubek.core.people.Person;
import ezvcard.VCard;
import ezvcard.VCardVersion;
import ezvcard.io.text.VCardReader;
import ezvcard.io.text.VCardWriter;
import ezvcard.parameter.TelephoneType;
import ezvcard.property.Email;
import ezvcard.property.FormattedName;
import ezvcard.property.Kind;
import ezvcard.property.Member;
import ezvcard.property.Note;
import ezvcard.property.Organization;
import ezvcard.property.StructuredName;
import ezvcard.property.Telephone;
import ezvcard.property.Uid;
import ezvcard.util.TelUri;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Reads and writes people and groups as vCards.
 *
 * @param people those that have a mail address
 * @param notTaken what was left out and why, in plain words
 */
public record Cards(List<Person> people, List<PeopleGroup> groups, List<String> notTaken) {
    private static final int MOST_CARDS = 10_000;
    private static final int NO_PREFERENCE = 101;
    private static final String URN = "urn:uuid:";
    private static final String MAILTO = "mailto:";

    public Cards {
        people = List.copyOf(people);
        groups = List.copyOf(groups);
        notTaken = List.copyOf(notTaken);
    }

    /**
     * Reads vCards of versions 2.1, 3.0 and 4.0.
     *
     * @param ids makes an id for each person and group
     */
    public static Cards read(String text, Supplier<String> ids) {
        List<VCard> cards = parsed(text);
        List<String> notTaken = new ArrayList<>();
        if (cards.isEmpty()) {
            notTaken.add("there is no card in it: a file of cards begins with BEGIN:VCARD");
        }
        if (cards.size() > MOST_CARDS) {
            notTaken.add("it has " + cards.size() + " cards, and the first " + MOST_CARDS + " are taken");
        }
        List<Person> people = new ArrayList<>();
        Map<String, Person> byUid = new HashMap<>();
        List<VCard> kept = cards.stream().limit(MOST_CARDS).toList();
        for (VCard card : kept) {
            List<MailAddress> addresses = addresses(card);
            if (isGroup(card)) {
                continue;
            }
            if (addresses.isEmpty()) {
                notTaken.add("“" + name(card) + "” has no mail address");
                continue;
            }
            Person person = person(card, addresses, ids.get());
            people.add(person);
            Optional.ofNullable(card.getUid()).ifPresent(uid -> byUid.put(bare(uid.getValue()), person));
        }
        List<PeopleGroup> groups = kept.stream()
                .filter(Cards::isGroup)
                .map(card -> new PeopleGroup(ids.get(), name(card), members(card, byUid)))
                .toList();
        return new Cards(people, groups, notTaken);
    }

    private static List<VCard> parsed(String text) {
        try (VCardReader reader = new VCardReader(text)) {
            return reader.readAll();
        } catch (IOException neverOfAString) {
            throw new UncheckedIOException(neverOfAString);
        }
    }

    private static Person person(VCard card, List<MailAddress> addresses, String id) {
        return new Person(
                id,
                name(card),
                addresses,
                Optional.ofNullable(card.getOrganization())
                        .map(Organization::getValues)
                        .map(values -> String.join(", ", values))
                        .orElse(""),
                phone(card),
                card.getNotes().stream().map(Note::getValue).collect(Collectors.joining("\n")));
    }

    private static boolean isGroup(VCard card) {
        return Optional.ofNullable(card.getKind()).filter(Kind::isGroup).isPresent();
    }

    private static String name(VCard card) {
        return Optional.ofNullable(card.getFormattedName())
                .map(FormattedName::getValue)
                .filter(name -> !name.isBlank())
                .or(() -> Optional.ofNullable(card.getStructuredName()).map(Cards::spoken))
                .orElse("")
                .strip();
    }

    private static String spoken(StructuredName name) {
        return Stream.of(name.getGiven(), name.getFamily())
                .flatMap(part -> Optional.ofNullable(part).stream())
                .collect(Collectors.joining(" "));
    }

    private static List<MailAddress> addresses(VCard card) {
        return card.getEmails().stream()
                .sorted(Comparator.comparing(
                        email -> Optional.ofNullable(email.getPref()).orElse(NO_PREFERENCE)))
                .flatMap(email -> MailAddress.found(email.getValue()).stream())
                .toList();
    }

    private static String phone(VCard card) {
        return card.getTelephoneNumbers().stream()
                .sorted(Comparator.comparing(
                        phone -> Optional.ofNullable(phone.getPref()).orElse(NO_PREFERENCE)))
                .map(phone -> Optional.ofNullable(phone.getUri())
                        .map(TelUri::getNumber)
                        .or(() -> Optional.ofNullable(phone.getText())))
                .flatMap(Optional::stream)
                .findFirst()
                .orElse("");
    }

    /** RFC 6350 §6.6.5: members are named by the uid of their cards, or by an address. */
    private static List<MailAddress> members(VCard card, Map<String, Person> byUid) {
        return card.getMembers().stream()
                .map(Member::getUri)
                .flatMap(uri -> uri.startsWith(MAILTO)
                        ? MailAddress.found(uri.substring(MAILTO.length())).stream()
                        : Optional.ofNullable(byUid.get(bare(uri)))
                                .map(person -> person.addresses().get(0))
                                .stream())
                .toList();
    }

    private static String bare(String uid) {
        return uid.startsWith(URN) ? uid.substring(URN.length()) : uid;
    }

    /** As vCards of version 4.0. */
    public static String write(List<Person> people, List<PeopleGroup> groups) {
        List<VCard> cards = Stream.concat(
                        people.stream().map(Cards::card), groups.stream().map(Cards::card))
                .toList();
        StringWriter text = new StringWriter();
        try (VCardWriter writer = new VCardWriter(text, VCardVersion.V4_0)) {
            writer.setAddProdId(false);
            for (VCard card : cards) {
                writer.write(card);
            }
        } catch (IOException neverOfAString) {
            throw new UncheckedIOException(neverOfAString);
        }
        return text.toString();
    }

    private static VCard card(Person person) {
        VCard card = new VCard(VCardVersion.V4_0);
        card.setUid(new Uid(URN + person.id()));
        card.setFormattedName(person.shown());
        for (MailAddress address : person.addresses()) {
            Email email = new Email(address.address());
            email.setPref(person.addresses().indexOf(address) + 1);
            card.addEmail(email);
        }
        if (!person.organisation().isBlank()) {
            card.setOrganization(person.organisation());
        }
        if (!person.phone().isBlank()) {
            Telephone phone = new Telephone(person.phone());
            phone.getTypes().add(TelephoneType.VOICE);
            card.addTelephoneNumber(phone);
        }
        if (!person.note().isBlank()) {
            card.addNote(person.note());
        }
        return card;
    }

    private static VCard card(PeopleGroup group) {
        VCard card = new VCard(VCardVersion.V4_0);
        card.setUid(new Uid(URN + group.id()));
        card.setKind(Kind.group());
        card.setFormattedName(group.name());
        group.members().forEach(member -> card.addMember(new Member(MAILTO + member.address())));
        return card;
    }
}
