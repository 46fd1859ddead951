package app.jubek.core.recurring;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Groups of subjects of one pattern, in the order of their first subject; looked up by the words that stand in place. */
final class SubjectGroups {
    private final List<SubjectGroup> groups = new ArrayList<>();
    private final Map<String, List<SubjectGroup>> byWordAtPlace = new HashMap<>();

    List<SubjectGroup> all() {
        return groups;
    }

    /** The first group that a subject fits, or a new one. */
    SubjectGroup fitting(SubjectPattern subject) {
        List<String> places = places(subject);
        return places.stream()
                .flatMap(place -> byWordAtPlace.getOrDefault(place, List.of()).stream())
                .filter(group -> group.fits(subject))
                .findFirst()
                .orElseGet(() -> made(subject, places));
    }

    private SubjectGroup made(SubjectPattern subject, List<String> places) {
        SubjectGroup made = new SubjectGroup(subject);
        groups.add(made);
        places.forEach(place ->
                byWordAtPlace.computeIfAbsent(place, p -> new ArrayList<>()).add(made));
        return made;
    }

    private static List<String> places(SubjectPattern subject) {
        List<String> places = new ArrayList<>();
        int words = subject.keys().size();
        for (int i = 0; i < words; i++) {
            places.add(words + " " + i + " " + subject.keys().get(i));
        }
        return places;
    }
}
