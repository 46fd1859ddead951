package app.jubek.core.template;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.people.OwnSide;
import app.jubek.core.people.Person;
import app.jubek.core.text.Unsafe;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.time.format.FormatStyle;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * What the fields of a template are filled from.
 *
 * @param person whom the fields of the sender are about: the sender, or the one for whom a form wrote
 * @param zone in which days and times are told
 * @param contact the same person as the address book has them
 * @param captured what patterns of the rule took out of the message, by the name of the group
 * @param away when the rule that answers is active, and who stands in
 */
public record Filling(
        ReadMessage message,
        Optional<MailAddress> person,
        OwnSide own,
        Instant received,
        ZoneId zone,
        Optional<Person> contact,
        Map<String, String> captured,
        Away away) {
    /**
     * What an absence tells; the days of a rule with a period are told the same way.
     *
     * @param opens the first day after it on which the mailbox is open
     */
    public record Away(
            Optional<LocalDate> first,
            Optional<LocalDate> last,
            Optional<LocalDate> opens,
            Optional<MailAddress> substitute) {
        public static final Away NOT = new Away(Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());
    }

    public Filling {
        captured = Map.copyOf(captured);
    }

    /** Empty where the message has none, or where it can't be told safely. */
    Optional<String> value(Field field, Locale language) {
        return raw(field, language).map(Unsafe::removed).filter(text -> !text.isEmpty());
    }

    Optional<String> captured(String name) {
        return Optional.ofNullable(captured.get(name)).map(Unsafe::removed).filter(text -> !text.isEmpty());
    }

    private Optional<String> raw(Field field, Locale language) {
        return switch (field) {
            case SENDER_FIRST_NAME -> name().map(PersonName::first);
            case SENDER_LAST_NAME -> name().map(PersonName::last);
            case SENDER_NAME -> name().map(n -> n.first() + " " + n.last());
            case SENDER_ADDRESS -> person.map(MailAddress::address);
            case SUBJECT -> Optional.of(message.subject());
            case RECEIVED_DATE -> Optional.of(told(at().toLocalDate(), language));
            case RECEIVED_TIME -> Optional.of(at().format(DateTimeFormatter.ofPattern("HH:mm", language)));
            case MAILBOX_NAME -> Optional.of(own.identity().name());
            case MAILBOX_ADDRESS -> Optional.of(own.identity().address());
            case RECIPIENT_ADDRESS -> Optional.of(recipient());
            case CONTACT_NAME -> contact.map(Person::name);
            case CONTACT_ORGANISATION -> contact.map(Person::organisation);
            case CONTACT_PHONE -> contact.map(Person::phone);
            case ABSENCE_FIRST_DAY -> away.first().map(day -> told(day, language));
            case ABSENCE_LAST_DAY -> away.last().map(day -> told(day, language));
            case ABSENCE_NEXT_OPENING -> away.opens().map(day -> told(day, language));
            case ABSENCE_SUBSTITUTE -> away.substitute().map(Filling::told);
        };
    }

    private static String told(LocalDate day, Locale language) {
        return day.format(DateTimeFormatter.ofLocalizedDate(FormatStyle.LONG).withLocale(language));
    }

    private static String told(MailAddress who) {
        return who.name().isBlank() ? who.address() : who.name() + " (" + who.address() + ")";
    }

    private Optional<PersonName> name() {
        return person.flatMap(PersonName::of);
    }

    private ZonedDateTime at() {
        return received.atZone(zone);
    }

    /** The own address it was written to, which may be an alias. */
    private String recipient() {
        return message.recipients().stream()
                .filter(own::isOwn)
                .findFirst()
                .orElse(own.identity())
                .address();
    }
}
