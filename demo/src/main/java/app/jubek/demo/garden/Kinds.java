package app.jubek.demo.garden;

import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.function.Function;

/** The recurring kinds of mail at the visits desk, each with its share, and the long tail. */
final class Kinds {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM", Locale.ENGLISH);
    private static final DateTimeFormatter SHORT_DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);

    private final Random random;
    private final List<Function<Instant, Draft>> weighted = new ArrayList<>();
    private final SystemKinds systems;
    private final PeopleKinds people;

    /**
     * @param end up to which mail is made
     */
    Kinds(Random random, Instant end) {
        this.random = random;
        this.systems = new SystemKinds(random, end);
        this.people = new PeopleKinds(random);
        share(17, systems::seedList);
        share(9, systems::ticketDesk);
        share(7, systems::glasshouseAlarm);
        share(4, systems::tradeLetter);
        share(3, systems::parcel);
        share(2, systems::bounce);
        share(2, systems::awayNotice);
        share(2, systems::calendar);
        share(3, systems::nurseryInvoice);
        share(7, people::photoPermit);
        share(8, people::schoolVisit);
        share(5, people::lostProperty);
        share(4, people::shiftSwap);
        share(4, people::coachArrival);
        share(4, people::openingHours);
        share(3, people::plantQuestion);
        share(4, people::conversation);
        share(12, people::tail);
    }

    private void share(int percent, Function<Instant, Draft> kind) {
        for (int i = 0; i < percent; i++) {
            weighted.add(kind);
        }
    }

    Draft next(Instant at) {
        return Person.pick(random, weighted).apply(at);
    }

    static String day(Instant at, int daysLater) {
        return DAY.format(at.atZone(GardenMail.ZONE).plusDays(daysLater));
    }

    static String shortDay(Instant at) {
        return SHORT_DAY.format(at.atZone(GardenMail.ZONE));
    }
}
