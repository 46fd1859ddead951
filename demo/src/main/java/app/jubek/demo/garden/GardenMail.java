package app.jubek.demo.garden;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Random;

/**
 * Past mail of the visits desk: 7,000 messages over 180 days, in recurring kinds and a long tail. The same seed and end
 * give the same mail, byte for byte.
 */
public final class GardenMail {
    public static final long SEED = 20_260_401L;
    public static final String VISITS = "visits@ostrel-gardens.example";
    /** Further addresses that reach a mailbox, by the mailbox. */
    public static final Map<String, String> ALIASES = Map.of(
            "photos@ostrel-gardens.example", VISITS,
            "info@ostrel-gardens.example", VISITS,
            "schools@ostrel-gardens.example", VISITS);

    public static final List<String> COLLEAGUES = List.of(
            "education@ostrel-gardens.example",
            "duty@ostrel-gardens.example",
            "gate@ostrel-gardens.example",
            "noor@ostrel-gardens.example",
            "tomas@ostrel-gardens.example",
            "accounts@ostrel-gardens.example",
            "seeds@ostrel-gardens.example");
    public static final ZoneId ZONE = ZoneId.of("Europe/Stockholm");

    public static final int MESSAGES = 7_000;
    private static final int DAYS = 180;
    private static final Duration RECENT = Duration.ofDays(2);

    private final List<Letter> letters;
    private final List<Posted> posted;

    private GardenMail(List<Letter> letters, List<Posted> posted) {
        this.letters = List.copyOf(letters);
        this.posted = List.copyOf(posted);
    }

    /**
     * One message.
     *
     * @param kind the recurring kind it was made from, for tests
     */
    public record Letter(String kind, String folder, Instant received, boolean seen, byte[] bytes) {}

    /** All mail up to an instant; none is younger than it. */
    public static GardenMail of(long seed, Instant end) {
        return of(seed, end, MESSAGES);
    }

    /** The same with another number of messages. */
    public static GardenMail of(long seed, Instant end, int messages) {
        Random random = new Random(seed);
        LocalDate lastDay = end.atZone(ZONE).toLocalDate();
        List<Letter> letters = new ArrayList<>();
        List<Letter> sent = new ArrayList<>();
        List<Posted> posted = new ArrayList<>();
        Kinds kinds = new Kinds(random, end);
        int number = 0;
        while (letters.size() < messages) {
            Instant at = moment(random, lastDay);
            if (at.isBefore(end)) {
                Draft draft = kinds.next(at);
                boolean seen = at.isBefore(end.minus(RECENT)) || random.nextBoolean();
                letters.add(new Letter(draft.kind(), "INBOX", at, seen, Rendering.bytes(draft, at, ++number)));
                posted.add(new Posted(draft, at, number));
                draft.answers().ifPresent(id -> sent.add(sent(id, draft, at.minus(RECENT))));
            }
        }
        letters.addAll(sent);
        letters.sort(Comparator.comparing(Letter::received));
        posted.sort(Comparator.comparing(Posted::at));
        return new GardenMail(letters, posted);
    }

    /** What the desk wrote before, that this draft answers. */
    private static Letter sent(String messageId, Draft answer, Instant at) {
        return new Letter("sent", "Sent", at, true, Rendering.written(VISITS, messageId, answer, at));
    }

    public List<Letter> letters() {
        return letters;
    }

    public List<Letter> before(Instant end) {
        return letters.stream()
                .filter(letter -> letter.received().isBefore(end))
                .toList();
    }

    /** The same as its senders hand it in, in the order of its arrival. */
    public List<Posted> posted() {
        return posted;
    }

    /** Mostly in office hours, fewer at weekends. */
    private static Instant moment(Random random, LocalDate lastDay) {
        LocalDate day = lastDay.minusDays(random.nextInt(DAYS));
        boolean weekend = day.getDayOfWeek().getValue() > 5;
        if (weekend && random.nextInt(3) > 0) {
            day = day.minusDays(2);
        }
        int hour = random.nextInt(10) == 0
                ? random.nextInt(24)
                : 7 + (int) Math.min(11, Math.abs(random.nextGaussian() * 3 + 4));
        return day.atTime(hour, random.nextInt(60), random.nextInt(60))
                .atZone(ZONE)
                .toInstant();
    }
}
