package app.jubek.demo.garden;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.address.MailAddress;
import app.jubek.core.decide.Silence;
import app.jubek.core.decide.Trace;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.SentBy;
import app.jubek.core.people.AddressBook;
import app.jubek.core.people.OwnSide;
import app.jubek.core.reading.MessageReading;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.text.Limits;
import app.jubek.core.view.MessageContext;
import app.jubek.core.view.MessageView;
import app.jubek.formats.rulebook.RuleBookJson;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class GardenMailTest {
    /** The evening of the day on which clocks in Stockholm went forward. */
    private static final Instant CLOCK_CHANGE = Instant.parse("2026-03-29T18:00:00Z");

    private final List<GardenMail.Letter> inbox = GardenMail.of(GardenMail.SEED, CLOCK_CHANGE).letters().stream()
            .filter(letter -> letter.folder().equals("INBOX"))
            .toList();

    private static ReadMessage read(GardenMail.Letter letter) {
        return new MessageReading(Limits.standard()).read(letter.bytes());
    }

    @Test
    void sevenThousandMessagesOverHalfAYearNoneYoungerThanItsEnd() {
        assertThat(inbox).hasSize(7_000).allMatch(l -> l.received().isBefore(CLOCK_CHANGE));
        assertThat(inbox.get(0).received()).isAfter(CLOCK_CHANGE.minus(Duration.ofDays(183)));
    }

    @Test
    void theSameSeedAndEndGiveTheSameMail() throws NoSuchAlgorithmException {
        assertThat(digest(GardenMail.SEED)).isEqualTo(digest(GardenMail.SEED)).isNotEqualTo(digest(7));
    }

    @Test
    void theLastWeekComesInAsItsSendersHandItInAndSomebodyAsksTwice() {
        List<Posted> week = Week.until(CLOCK_CHANGE, GardenMail.of(GardenMail.SEED, CLOCK_CHANGE));
        assertThat(week)
                .hasSizeBetween(200, 350)
                .allMatch(letter ->
                        letter.at().isBefore(CLOCK_CHANGE) && !letter.at().isBefore(CLOCK_CHANGE.minus(Week.LENGTH)))
                .isSortedAccordingTo(Comparator.comparing(Posted::at));
        assertThat(week)
                .extracting(letter -> new String(letter.bytes(), UTF_8))
                .allMatch(text -> text.startsWith("From: "));
        Map<String, Integer> asked = new HashMap<>();
        week.stream()
                .filter(letter -> new String(letter.bytes(), UTF_8).contains("Subject: Photo permit"))
                .forEach(letter -> asked.merge(letter.from(), 1, Integer::sum));
        assertThat(asked).containsValue(2);
    }

    private static byte[] digest(long seed) throws NoSuchAlgorithmException {
        MessageDigest digest = MessageDigest.getInstance("SHA-256");
        GardenMail.of(seed, CLOCK_CHANGE).letters().forEach(letter -> digest.update(letter.bytes()));
        return digest.digest();
    }

    @Test
    void atLeastFourteenKindsRecurBesideALongTail() {
        Map<String, Integer> kinds = new HashMap<>();
        inbox.forEach(letter -> kinds.merge(letter.kind(), 1, Integer::sum));
        assertThat(kinds)
                .hasSizeGreaterThanOrEqualTo(15)
                .containsKey("tail")
                .allSatisfy((kind, count) -> assertThat(count).isGreaterThan(90));
    }

    @Test
    void itHasEverySortOfMailAndAllOfItCanBeRead() {
        Map<SentBy, Integer> by = new HashMap<>();
        int attachments = 0;
        int html = 0;
        for (GardenMail.Letter letter : inbox) {
            ReadMessage message = read(letter);
            assertThat(message.notes()).as(letter.kind()).isEmpty();
            message.sentBy().forEach(s -> by.merge(s, 1, Integer::sum));
            attachments += message.attachments().isEmpty() ? 0 : 1;
            html += message.html().isPresent() ? 1 : 0;
        }
        assertThat(by.keySet()).containsExactlyInAnyOrder(SentBy.values());
        assertThat(attachments).isGreaterThan(300);
        assertThat(html).isGreaterThan(300);
    }

    @Test
    void everyDemoRuleTakesItsMailAndTwoOfThemTakeTheSame() throws IOException {
        RuleBook book = RuleBookJson.read(Files.readString(Path.of("ostrel-gardens/rule-book.json")));
        MailAddress visits = MailAddress.of("visits@ostrel-gardens.example");
        MessageContext context = new MessageContext(
                new OwnSide(visits, List.of(visits), List.of("ostrel-gardens.example")),
                AddressBook.empty(),
                CLOCK_CHANGE,
                CLOCK_CHANGE,
                ZoneId.of("Europe/Stockholm"),
                false,
                visits.address(),
                "INBOX",
                false);
        Map<String, Integer> taken = new HashMap<>();
        Map<List<String>, Integer> together = new HashMap<>();
        for (GardenMail.Letter letter : inbox) {
            List<String> by = Trace.of(book, new MessageView(read(letter), context), Silence.none()).picking().stream()
                    .map(rule -> rule.id().value())
                    .toList();
            by.forEach(rule -> taken.merge(rule, 1, Integer::sum));
            together.merge(by, 1, Integer::sum);
        }
        assertThat(book.rules())
                .hasSize(8)
                .allMatch(rule -> taken.getOrDefault(rule.id().value(), 0) > 20);
        assertThat(together.keySet())
                .filteredOn(by -> by.size() > 1)
                .containsExactly(List.of("school-visits", "tropics-house"));
    }
}
