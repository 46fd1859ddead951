package app.jubek.demo.garden;

import app.jubek.core.address.MailAddress;
import app.jubek.core.corpus.Corpus;
import app.jubek.core.corpus.PastMessage;
import app.jubek.core.people.AddressBook;
import app.jubek.core.people.OwnSide;
import app.jubek.core.reading.MessageReading;
import app.jubek.core.text.Limits;
import app.jubek.core.view.MessageContext;
import app.jubek.core.view.MessageView;
import java.time.Instant;
import java.util.List;
import java.util.stream.IntStream;

/** The garden's past mail as the engine sees it, beside the letters that it was made from. */
final class GardenPast {
    static final MailAddress VISITS = MailAddress.of(GardenMail.VISITS);
    static final OwnSide OWN = new OwnSide(VISITS, List.of(VISITS), List.of("ostrel-gardens.example"));
    static final Instant END = Instant.parse("2026-03-29T18:00:00Z");
    static final List<GardenMail.Letter> INBOX = GardenMail.of(GardenMail.SEED, END).letters().stream()
            .filter(letter -> letter.folder().equals("INBOX"))
            .toList();
    private static final MessageReading READING = new MessageReading(Limits.standard());
    static final List<PastMessage> MESSAGES = messages();

    private GardenPast() {}

    static Corpus.View evidence() {
        Corpus corpus = new Corpus(100, Long.MAX_VALUE);
        MESSAGES.forEach(corpus::add);
        return corpus.since(Instant.EPOCH);
    }

    private static List<PastMessage> messages() {
        return IntStream.range(0, INBOX.size())
                .mapToObj(place -> past(place, INBOX.get(place).bytes()))
                .toList();
    }

    /** A letter of the inbox, as it is or changed. */
    static PastMessage past(int place, byte[] bytes) {
        Instant received = INBOX.get(place).received();
        MessageContext context = new MessageContext(
                OWN, AddressBook.empty(), received, received, GardenMail.ZONE, false, VISITS.address(), "INBOX", false);
        return new PastMessage(place, received, new MessageView(READING.read(bytes), context));
    }
}
