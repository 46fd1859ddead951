package app.jubek.core.rehearsal;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.Mails;
import app.jubek.core.address.MailAddress;
import app.jubek.core.corpus.Corpus;
import app.jubek.core.corpus.PastMessage;
import app.jubek.core.criteria.MessagePart;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.decide.DecisionContext;
import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.step.Step;
import app.jubek.core.view.MessageView;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** As many messages and rules as a large office has. */
class ManyTest {
    private static final int MESSAGES = 50_000;
    private static final int RULES = 200;
    private static final DecisionContext AT = Mails.context();

    private static Rule rule(int i, boolean replies) {
        Step step = replies
                ? new Step.Reply("", "Thank you.", Duration.ofDays(1))
                : i % 3 == 0
                        ? new Step.Redirect(List.of(MailAddress.of("desk" + i + "@ostrel-gardens.example")), true)
                        : new Step.File("Folder " + i);
        return new Rule(
                new RuleId("r" + i),
                1,
                "r" + i,
                TextCriterion.phrases(MessagePart.Kind.SUBJECT, List.of("request " + i)),
                new Nothing(),
                List.of(step),
                Ending.STOP_HERE,
                true);
    }

    private static RuleBook book(int replying) {
        return RuleBook.of(IntStream.range(0, RULES)
                .mapToObj(i -> rule(i, i % 5 == replying))
                .toList());
    }

    @Test
    void aRehearsalTakesAtMostThreeTimesAsLongAsReadingTheMessages() {
        Corpus corpus = new Corpus(2_000, Long.MAX_VALUE);
        List<String> raw = new ArrayList<>();
        for (int i = 0; i < MESSAGES; i++) {
            Instant received = Mails.NOW.minus(Duration.ofMinutes(5L * (MESSAGES - i)));
            raw.add(
                    Mails.from(
                            "sender" + i % 900 + "@school.example",
                            "About request " + i % (2 * RULES),
                            "Dear desk, this is what we ask for: a guided visit with our class of 24 pupils, in May if you can."));
            corpus.add(new PastMessage(
                    i,
                    received,
                    new MessageView(Mails.read(raw.get(i)), AT.context().cameIn(received))));
        }
        double reading = seconds(() -> raw.forEach(Mails::read));
        double rehearsing = seconds(() -> {
            Rehearsal made = Rehearsal.of(
                            corpus.since(Instant.EPOCH), new Side(book(0), AT), new Side(book(1), AT), Watch.NOBODY)
                    .orElseThrow();
            assertThat(made.changing().cardinality()).isGreaterThan(1_000);
            assertThat(made.flows()).isNotEmpty();
            assertThat(made.byRule()).isNotEmpty();
            assertThat(made.overlaps()).isEmpty();
            assertThat(made.volumes()).isNotEmpty();
            assertThat(made.answeredAgain()).isNotEmpty();
        });
        System.out.printf(
                "%d messages, %d rules: read in %.1f s, rehearsed in %.1f s%n", MESSAGES, RULES, reading, rehearsing);
        assertThat(rehearsing).isLessThan(3 * reading);
    }

    private static double seconds(Runnable work) {
        long begun = System.nanoTime();
        work.run();
        return (System.nanoTime() - begun) / 1e9;
    }
}
