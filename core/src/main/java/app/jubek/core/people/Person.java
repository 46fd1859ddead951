package app.jubek.core.people;

import app.jubek.core.address.MailAddress;
import java.util.ArrayList;
import java.util.List;

/**
 * Somebody in the address book. What is not known is empty.
 *
 * @param name in full, as a person wrote it down
 * @param addresses the one to write to first
 */
public record Person(
        String id, String name, List<MailAddress> addresses, String organisation, String phone, String note) {
    private static final int LONGEST = 500;

    /**
     * @throws IllegalArgumentException where there is no address or name
     */
    public Person {
        addresses = once(addresses);
        name = name.strip();
        if (addresses.isEmpty()) {
            throw new IllegalArgumentException("a person in the address book needs an address");
        }
        if (name.length() + organisation.length() + phone.length() + note.length() > LONGEST * 2) {
            throw new IllegalArgumentException("a person has at most " + LONGEST * 2 + " characters in all");
        }
    }

    /** The name, or the first address where there is none. */
    public String shown() {
        return name.isEmpty() ? addresses.get(0).address() : name;
    }

    /** With what another entry of the same person says beyond this one. */
    public Person with(Person other) {
        List<MailAddress> all = new ArrayList<>(addresses);
        all.addAll(other.addresses());
        String notes = note.contains(other.note()) ? note : (note + "\n" + other.note()).strip();
        return new Person(
                id,
                first(name, other.name()),
                all,
                first(organisation, other.organisation()),
                first(phone, other.phone()),
                notes);
    }

    /** Whether two entries share an address. */
    public boolean sharesAddress(Person other) {
        return addresses.stream().anyMatch(address -> other.addresses().stream().anyMatch(address::sameAs));
    }

    private static String first(String one, String other) {
        return one.isBlank() ? other : one;
    }

    private static List<MailAddress> once(List<MailAddress> all) {
        List<MailAddress> once = new ArrayList<>();
        all.stream().filter(address -> once.stream().noneMatch(address::sameAs)).forEach(once::add);
        return List.copyOf(once);
    }
}
