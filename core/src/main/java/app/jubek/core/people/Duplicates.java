package app.jubek.core.people;

import app.jubek.core.matching.Comparison;
import java.util.ArrayList;
import java.util.List;

/** Finds entries that seem to be of one person (common practice): they share an address, or the whole name. */
public final class Duplicates {
    private Duplicates() {}

    /** Each time two or more entries; every entry stands in one of the lists at most. */
    public static List<List<Person>> in(List<Person> people) {
        List<List<Person>> found = new ArrayList<>();
        for (Person person : people) {
            List<List<Person>> same = found.stream()
                    .filter(others -> others.stream().anyMatch(other -> isSame(person, other)))
                    .toList();
            List<Person> together = new ArrayList<>();
            same.forEach(together::addAll);
            together.add(person);
            found.removeAll(same);
            found.add(together);
        }
        return found.stream()
                .filter(together -> together.size() > 1)
                .map(List::copyOf)
                .toList();
    }

    private static boolean isSame(Person one, Person other) {
        return one.sharesAddress(other) || !name(one).isEmpty() && name(one).equals(name(other));
    }

    /** Only a name of two words or more tells people apart. */
    private static String name(Person person) {
        String folded = Comparison.WITHOUT_ACCENTS.apply(person.name()).strip();
        return folded.contains(" ") ? folded : "";
    }
}
