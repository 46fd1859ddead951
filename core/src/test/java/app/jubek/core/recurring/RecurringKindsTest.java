package app.jubek.core.recurring;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.Mails;
import app.jubek.core.corpus.PastMessage;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RecurringKindsTest {
    private final List<PastMessage> past = new ArrayList<>();

    private void mail(String sender, String subject, String text, String... fields) {
        Instant received = Instant.EPOCH.plus(Duration.ofHours(9L * past.size()));
        past.add(new PastMessage(
                past.size(), received, Mails.view(Mails.read(Mails.from(sender, subject, text, fields)))));
    }

    private List<Kind> kinds() {
        return RecurringKinds.of(past, Mails.VISITS);
    }

    private static String words(Kind.Pattern pattern) {
        return pattern.pieces().stream()
                .map(piece -> piece.slot() ? "<" + piece.words() + ">" : piece.words())
                .collect(Collectors.joining(" "));
    }

    @Test
    void whatVariesInASubjectIsASlotNamedForWhatItIs() {
        mail("p@parcels.example", "Parcel 4711 comes on 3 May at 10:30", "a b c d e");
        mail("p@parcels.example", "Parcel 99 comes on 12 June at 9:15", "a b c d e");
        mail("p@parcels.example", "Parcel 815 comes on 1 May at 11:00", "a b c d e");
        mail("p@parcels.example", "Parcel 17 comes on 30 March at 8:00", "a b c d e");
        Kind kind = kinds().get(0);
        assertThat(words(kind.patterns().get(0))).isEqualTo("Parcel <number> comes on <day> at <time>");
        assertThat(kind.who()).isEqualTo(new Kind.Who.Address("p@parcels.example", "Anna"));
        assertThat(kind.size()).isEqualTo(4);
    }

    @Test
    void subjectsOfDifferentPatternsWhoseTextsAreOfOneClusterAreOneKind() {
        for (int i = 0; i < 4; i++) {
            mail("v" + i + "@volunteers.example", "Swap Saturday morning?", "Could somebody take my shift on day " + i);
            mail("w" + i + "@volunteers.example", "Can't make " + i + " May", "Could somebody take my shift please");
        }
        assertThat(kinds()).hasSize(1);
        assertThat(kinds().get(0).patterns()).hasSize(2);
        assertThat(kinds().get(0).who()).isEqualTo(new Kind.Who.Domains(List.of("volunteers.example")));
    }

    @Test
    void threeMessagesOrASingleDayMakeNoKind() {
        for (int i = 0; i < 3; i++) {
            mail("a@x.example", "Rota", "x");
        }
        assertThat(kinds()).isEmpty();
        past.clear();
        for (int i = 0; i < 5; i++) {
            mail("a@x.example", "Rota", "x");
            past.set(
                    i,
                    new PastMessage(i, Instant.EPOCH.plusSeconds(i), past.get(i).seen()));
        }
        assertThat(kinds()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "List-Id: Seed exchange <wishes.seedlist.example> | wishes.seedlist.example | RFC 2919 §3",
                "List-Post: <mailto:wishes@seedlist.example> | wishes@seedlist.example | RFC 2369 §3.4",
                "Sender: wishes-bounces@seedlist.example | wishes@seedlist.example | common practice",
                "Sender: owner-wishes@seedlist.example | wishes@seedlist.example | common practice",
                "Errors-To: <wishes-admin@seedlist.example> | wishes@seedlist.example | common practice",
            })
    void aListIsKnownByWhatItsProgramWritesIntoEveryMessage(String field, String list, String source) {
        for (int i = 0; i < 4; i++) {
            mail(
                    "p" + i + "@postbox.example",
                    "Something " + "abcd".charAt(i) + " " + i,
                    "x",
                    field,
                    "Precedence: list");
        }
        assertThat(kinds()).extracting(Kind::who).as(source).containsExactly(new Kind.Who.MailingList(list));
    }
}
