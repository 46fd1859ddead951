package app.jubek.core.catchup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import app.jubek.core.Mails;
import app.jubek.core.OpenPast;
import app.jubek.core.address.MailAddress;
import app.jubek.core.corpus.Corpus;
import app.jubek.core.corpus.PastMessage;
import app.jubek.core.criteria.MessagePart;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.decide.DecisionContext;
import app.jubek.core.evidence.Counter;
import app.jubek.core.evidence.Evidence;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.safety.Limits;
import app.jubek.core.safety.RepliesGiven;
import app.jubek.core.safety.ReplyHistory;
import app.jubek.core.step.Sound;
import app.jubek.core.step.Step;
import app.jubek.core.view.MessageView;
import java.time.Duration;
import java.time.Instant;
import java.util.BitSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

class CatchUpTest {
    private static final DecisionContext AT = Mails.context();
    private static final Terms ALL = new Terms(true, true);
    private static final Step TO_DUTY = new Step.Redirect(List.of(MailAddress.of("duty@ostrel-gardens.example")), true);
    private static final Step REPLY = new Step.Reply("", "Thank you.", Duration.ofDays(7));
    private static final Step FILE = new Step.File("Permits");

    private final Corpus corpus = new Corpus(100, Long.MAX_VALUE);

    private static Rule rule(Step... steps) {
        return new Rule(
                new RuleId("permits"),
                1,
                "permits",
                TextCriterion.phrases(MessagePart.Kind.SUBJECT, List.of("permit")),
                new Nothing(),
                List.of(steps),
                Ending.STOP_HERE,
                true);
    }

    private void came(int daysAgo, String sender, String subject) {
        Instant received = Mails.NOW.minus(Duration.ofDays(daysAgo));
        MessageView seen = new MessageView(
                Mails.read(Mails.from(sender, subject, "Dear desk, we ask about " + subject)),
                AT.context().cameIn(received));
        corpus.add(new PastMessage(corpus.size(), received, seen));
    }

    /** Nothing was done, and nobody was answered. */
    private static Known nothing() {
        return done(step -> false);
    }

    private static Known done(java.util.function.Predicate<PlannedStep> before) {
        return new Known() {
            @Override
            public boolean isPlanned(long message, PlannedStep step) {
                return before.test(step);
            }

            @Override
            public String folder(long message) {
                return "INBOX";
            }

            @Override
            public ReplyHistory replies(Set<String> senders) {
                return ReplyHistory.empty();
            }
        };
    }

    private Preview preview(Terms terms, Known known, Step... steps) {
        return Preview.of(catchUp(RuleBook.of(List.of(rule(steps))), terms, known));
    }

    private CatchUp catchUp(RuleBook book, Terms terms, Known known) {
        Corpus.View past = corpus.since(Instant.EPOCH);
        BitSet all = new BitSet();
        all.set(0, past.size());
        return new CatchUp(CatchUp.chosen(book, List.of(new RuleId("permits"))), past, all, AT, terms, known);
    }

    @Test
    void workInTheMailboxIsDoneAndNothingLeavesUnlessThatIsWanted() {
        came(40, "anna@school.example", "permit one");
        came(12, "tom@school.example", "permit two");
        came(3, "tom@school.example", "Opening hours");
        Preview made = preview(Terms.MAILBOX_ONLY, nothing(), TO_DUTY, REPLY, new Step.Notify(Sound.BELL), FILE);
        assertThat(made.messages()).isEqualTo(2);
        assertThat(made.does())
                .extracting(does -> Mails.words(List.of(does.what())).get(0), Preview.Does::messages)
                .containsExactly(tuple("filed in Permits", 2));
        assertThat(made.left())
                .extracting(left -> left.why().code())
                .containsExactlyInAnyOrder(
                        LeftOut.NO_HAND_OVERS_WANTED.id(), LeftOut.NO_REPLIES_WANTED.id(), LeftOut.NO_OLD_NOTICES.id());
        assertThat(made.handOvers() + made.replies()).isZero();
    }

    @Test
    void ofOldMailEachSenderIsNamedWithTheRepliesThatTheyWouldGet() {
        came(40, "anna@school.example", "permit one");
        came(20, "anna@school.example", "permit two");
        came(12, "tom@school.example", "permit three");
        Preview made = preview(ALL, nothing(), TO_DUTY, REPLY);
        assertThat(made.answered()).containsOnlyKeys("anna@school.example", "tom@school.example");
        assertThat(made.replies()).as("all at once, so anna gets one").isEqualTo(2);
        assertThat(made.recipients()).containsEntry("duty@ostrel-gardens.example", 3);
    }

    @Test
    void whatWasPlannedBeforeIsNotDoneAgainWhateverBecameOfIt() {
        came(12, "tom@school.example", "permit two");
        Preview made = preview(ALL, done(step -> step.step().equals(FILE)), TO_DUTY, FILE);
        assertThat(made.does()).extracting(Preview.Does::kind).containsExactly(TO_DUTY.kind());
        assertThat(made.left()).extracting(left -> left.why().code()).containsExactly(LeftOut.DONE_BEFORE.id());
    }

    @Test
    void nothingGoesOutOfSightThatWasToBeHandedOnFirst() {
        came(12, "tom@school.example", "permit two");
        Preview made = preview(Terms.MAILBOX_ONLY, nothing(), TO_DUTY, Step.Plain.TRASH);
        assertThat(made.messages()).isZero();
        assertThat(made.left()).extracting(left -> left.why().code()).contains(LeftOut.NOT_HANDED_ON.id());
        assertThat(preview(ALL, nothing(), TO_DUTY, Step.Plain.TRASH).does()).hasSize(2);
    }

    @Test
    void aRuleThatIsPausedDoesNothing() {
        came(12, "tom@school.example", "permit two");
        RuleBook paused = RuleBook.of(List.of(rule(FILE).switched(false)));
        assertThat(catchUp(paused, ALL, nothing()).candidates()).isEmpty();
    }

    /** Half of 100 an hour for one rule is 50, so that 120 wait twice. */
    @Test
    void howLongItTakesFollowsFromThePaceAndFromHalfOfEachLimit() {
        for (int i = 0; i < 120; i++) {
            came(5, "s" + i + "@school.example", "permit " + i);
        }
        assertThat(preview(Terms.MAILBOX_ONLY, nothing(), FILE).takes(Limits.PRESET))
                .isEqualTo(Duration.ofSeconds(12));
        assertThat(preview(ALL, nothing(), TO_DUTY).takes(Limits.PRESET)).isEqualTo(Duration.ofHours(2));
    }

    /** The open mail: SpamAssassin's public corpus, in checks of the evidence, too. */
    @Test
    void theMessagesAreThoseThatTheEvidenceCountsAsPicked() {
        OpenPast.withoutListIds().forEach(labelled -> corpus.add(labelled.message()));
        Corpus.View past = corpus.since(Instant.EPOCH);
        Rule rule = new Rule(
                new RuleId("permits"),
                1,
                "lists",
                TextCriterion.phrases(MessagePart.Kind.SUBJECT, List.of("[ILUG]", "Re: ")),
                TextCriterion.phrases(MessagePart.Kind.SUBJECT, List.of("spam")),
                List.of(FILE),
                Ending.STOP_HERE,
                true);
        RuleBook book = RuleBook.of(List.of(rule));
        BitSet all = new BitSet();
        all.set(0, past.size());
        CatchUp made = new CatchUp(CatchUp.chosen(book, List.of(rule.id())), past, all, AT, ALL, nothing());
        List<Integer> picked = made.candidates().stream()
                .filter(place -> made.task(place, new RepliesGiven()).isPresent())
                .toList();
        assertThat(picked).hasSizeGreaterThan(100);
        assertThat(Evidence.of(book, rule.id(), past, AT.opening()).places(Counter.PICKED))
                .containsExactlyInAnyOrderElementsOf(picked);
    }
}
