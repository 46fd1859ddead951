package app.jubek.core.people;

import app.jubek.core.address.MailAddress;
import java.util.ArrayList;
import java.util.List;

/** People who are meant together, by the addresses to write to. */
public record PeopleGroup(String id, String name, List<MailAddress> members) {
    private static final int LONGEST = 100;

    /**
     * @throws IllegalArgumentException where it has no name
     */
    public PeopleGroup {
        name = name.strip();
        members = List.copyOf(members);
        if (name.isEmpty() || name.length() > LONGEST) {
            throw new IllegalArgumentException("a group needs a name of at most " + LONGEST + " characters");
        }
    }

    /** With others in it, too. */
    public PeopleGroup with(List<MailAddress> others) {
        List<MailAddress> all = new ArrayList<>(members);
        others.stream().filter(other -> all.stream().noneMatch(other::sameAs)).forEach(all::add);
        return new PeopleGroup(id, name, all);
    }
}
