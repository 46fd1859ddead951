package app.jubek.core.corpus;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.Mails;
import app.jubek.core.OpenMail;
import app.jubek.core.criteria.MessagePart;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.criteria.SimpleCriterion;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.evidence.Evidence;
import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.schedule.Opening;
import app.jubek.core.step.Step;
import app.jubek.core.view.MessageView;
import java.lang.management.ManagementFactory;
import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/** A criterion of tens of thousands of values is told of as one of few, and soon. */
class ManyValuesTest {
    private static final int VALUES = 49_000;
    private static final int MESSAGES = 300;
    private static final long MOST_NANOS = 10_000_000_000L;

    @org.junit.jupiter.api.Test
    void tensOfThousandsOfValuesAreCountedTogetherAsOneByOne() {
        Corpus corpus = new Corpus(2_000, Long.MAX_VALUE);
        List<Path> files = OpenMail.files();
        for (int i = 0; i < MESSAGES; i++) {
            MessageView seen = Mails.view(Mails.read(OpenMail.bytes(files.get(i))));
            corpus.add(new PastMessage(i, Mails.NOW, seen));
        }
        Corpus.View past = corpus.since(Instant.EPOCH);
        List<String> plain = List.of("list", "free", "free offer", "the", "re: the", "no such words at all");
        List<String> phrases = new ArrayList<>(plain);
        IntStream.range(0, VALUES).forEach(i -> phrases.add("number " + i));
        SimpleCriterion many = TextCriterion.phrases(MessagePart.Kind.SUBJECT_OR_TEXT, phrases);
        SimpleCriterion few = TextCriterion.phrases(MessagePart.Kind.SUBJECT_OR_TEXT, plain);
        long began = ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime();
        assertThat(past.matches(many)).startsWith(past.matches(few).toArray(Integer[]::new));
        assertThat(many.covered().subList(0, plain.size())).isEqualTo(few.covered());
        assertThat(past.holding(many).cardinality())
                .isGreaterThanOrEqualTo(past.holding(few).cardinality());
        List<Step> none = List.of();
        Rule rule = new Rule(new RuleId("r"), 1, "r", many, new Nothing(), none, Ending.CONTINUE, false);
        Evidence evidence = Evidence.of(RuleBook.of(List.of(rule)), rule.id(), past, Opening.usual(ZoneOffset.UTC));
        assertThat(evidence.picksOut()).hasSize(1);
        assertThat(ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime() - began)
                .isLessThan(MOST_NANOS);
    }
}
