package app.jubek.server.pastmail;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.corpus.PastMessage;
import app.jubek.core.decide.DecisionContext;
import app.jubek.core.evidence.Answerable;
import app.jubek.core.evidence.Evidence;
import app.jubek.core.evidence.LivePicked;
import app.jubek.core.evidence.Rehearsed;
import app.jubek.core.evidence.WouldLeave;
import app.jubek.core.people.AddressBook;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.safety.Limits;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.Refused;
import app.jubek.server.rulebook.RuleBooks;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** A mailbox's past mail within the evidence window, for those who may see it. */
@Component
public class PastMail {
    private static final int MAX_DAYS = 180;

    private final Corpora corpora;
    private final RuleBooks books;
    private final Mailboxes mailboxes;
    private final Clock clock;

    PastMail(Corpora corpora, RuleBooks books, Mailboxes mailboxes, Clock clock) {
        this.corpora = corpora;
        this.books = books;
        this.mailboxes = mailboxes;
        this.clock = clock;
    }

    /**
     * @param days how far back it reaches
     */
    public record Window(
            Mailbox mailbox,
            RuleBook book,
            Corpus.View past,
            LivePicked live,
            Answerable answerable,
            Instant now,
            int days) {

        /** Where messages stand in it; those outside it are left out. */
        public List<Integer> places(Collection<Long> ids) {
            Map<Long, Integer> places = new HashMap<>();
            for (int at = 0; at < past.size(); at++) {
                places.put(past.message(at).id(), at);
            }
            return ids.stream().map(places::get).filter(Objects::nonNull).toList();
        }

        public int place(long id) {
            return places(List.of(id)).stream().findFirst().orElseThrow(Window::notInIt);
        }

        private static Refused notInIt() {
            return Refused.invalid(
                    "This message is older than the evidence window: choose a longer one at the top.", List.of());
        }

        public Instant since() {
            return now.minus(Duration.ofDays(days));
        }

        /** What would really be done with the messages of an evidence. */
        public Rehearsed rehearsed(Evidence evidence, DecisionContext at) {
            return Rehearsed.of(evidence, at, answerable);
        }

        /** What a rule as it is being made does to the window. */
        public Evidence evidence(Rule rule, int order) {
            return Evidence.of(withRule(rule, order), rule.id(), past, mailbox.opening());
        }

        /** Where the messages are that a rule of the book picks. */
        BitSet picksLive(Rule rule) {
            return live.of(book, rule.id(), past, mailbox.opening());
        }

        /** What today's rules would have sent at most, the earliest first: some replies would have been withheld. */
        public List<Limits.Leaving> leaving(AddressBook people) {
            return WouldLeave.of(book, people, past, this::picksLive);
        }

        /** The book with a rule as it is being made, at its place or at one it is to have. */
        public RuleBook withRule(Rule rule, int order) {
            List<Rule> rules = new ArrayList<>(book.rules());
            int at = rules.indexOf(book.find(rule.id()).orElse(rule));
            if (at >= 0) {
                rules.remove(at);
            }
            rules.add(Math.min(Math.max(order, 0), rules.size()), rule);
            return new RuleBook(rules, book.fence(), book.tail());
        }
    }

    /** A past message on one line. */
    public record Line(long id, Instant received, String sender, String subject) {
        public static Line of(PastMessage message) {
            return new Line(message.id(), message.received(), message.senderShown(), message.subject());
        }
    }

    public Window window(UUID mailbox, int days) {
        Instant now = clock.instant();
        int within = Math.min(Math.max(days, 1), MAX_DAYS);
        Corpora.Past past = corpora.since(mailbox, now.minus(Duration.ofDays(within)));
        return new Window(
                mailboxes.find(mailbox),
                books.current(mailbox).book(),
                past.messages(),
                past.live(),
                past.answerable(),
                now,
                within);
    }
}
