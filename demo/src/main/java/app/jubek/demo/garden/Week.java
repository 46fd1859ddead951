package app.jubek.demo.garden;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Random;

/** The last seven days at the visits desk: its usual mail, and what makes a person of the desk look twice. */
public final class Week {
    public static final Duration LENGTH = Duration.ofDays(7);

    /** Beyond all numbers of usual mail. */
    private static final int NUMBERS = 1_000_000;

    private Week() {}

    /** In the order of arrival; all of it before the end. */
    public static List<Posted> until(Instant end, GardenMail usual) {
        List<Posted> all = new ArrayList<>();
        usual.posted().stream()
                .filter(letter -> !letter.at().isBefore(end.minus(LENGTH)))
                .forEach(all::add);
        List<Draft> special = special(end);
        for (int i = 0; i < special.size(); i++) {
            Instant at = end.minus(Duration.ofDays(3)).plus(Duration.ofHours(12L * i));
            all.add(new Posted(special.get(i), at, NUMBERS + i));
        }
        all.sort(Comparator.comparing(Posted::at));
        return all;
    }

    /** Half a day apart, the last one a day and a half before the end. */
    private static List<Draft> special(Instant end) {
        Random random = new Random(GardenMail.SEED);
        Person teacher = Person.in(random, PeopleKinds.SCHOOLS.get(0));
        Person visitor = Person.anyone(random);
        String day = Kinds.day(end, 20);
        return List.of(
                Draft.plain(
                        "school-visit",
                        teacher,
                        "Price list for teachers, please",
                        "Dear visits desk,\n\nwould you send us the price list for next term? We decide on the day after"
                                + " tomorrow.\n\nWith thanks\n" + teacher.name()),
                permit(
                        visitor,
                        "Photo permit for " + day,
                        "Hello,\n\ndo we need a permit for wedding pictures on " + day + "? We are four people."),
                Draft.plain(
                        "school-visit",
                        Person.at("Eva Holmgard", SenderChecks.FORGED),
                        "Price list for teachers, from home",
                        "Please send me the price list. I write from home, as I am not at school this week."),
                permit(
                        visitor,
                        "Photo permit: we would bring lights",
                        "Hello again,\n\none more question: does the permit cover two lamps? We need to know this week."));
    }

    private static Draft permit(Person visitor, String subject, String text) {
        return Draft.plain("photo-permit", visitor, subject, text + "\n\nKind regards\n" + visitor.name())
                .to("photos@ostrel-gardens.example");
    }
}
