package app.jubek.core.outgoing;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.Mails;
import app.jubek.core.address.MailAddress;
import app.jubek.core.criteria.Everything;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.decide.CompiledBook;
import app.jubek.core.decide.Decision;
import app.jubek.core.decide.Engine;
import app.jubek.core.message.ByteSource;
import app.jubek.core.reading.MessageReading;
import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.step.FollowUp;
import app.jubek.core.step.Step;
import app.jubek.core.text.Limits;
import java.nio.charset.StandardCharsets;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A forward that somebody is to deal with ends with the page on which they say so. */
class ForwardPageTest {
    private static final String PAGE = "https://jubek.ostrel-gardens.example/handed-on/";
    private static final Step TO_EDUCATION =
            new Step.Forward(List.of(MailAddress.of("education@ostrel-gardens.example")), "");

    private static Composed composed(Step... steps) {
        byte[] bytes =
                Mails.from("anna@school.example", "Guided visit", "24 pupils").getBytes(StandardCharsets.UTF_8);
        Composer.Original original = new Composer.Original(Mails.read(bytes), ByteSource.of(bytes), "d");
        Rule rule = new Rule(
                new RuleId("r"), 1, "r", new Everything(), new Nothing(), List.of(steps), Ending.CONTINUE, true);
        Decision decision =
                Engine.decide(CompiledBook.of(RuleBook.of(List.of(rule))), original.message(), Mails.context());
        Composer composer = new Composer(
                Mails.VISITS,
                Mails.HOPS,
                ZoneId.of("UTC"),
                DocumentContents.none(),
                Optional.of(new ForwardPage(PAGE)));
        return composer.of(decision.planned()).compose(decision.planned().get(0), original, Mails.NOW);
    }

    private static String text(Composed forward) {
        return String.join(
                "\n",
                new MessageReading(Limits.standard()).read(forward.bytes()).texts());
    }

    /** Its address is known to whoever has the message, and to nobody who knows its Message-ID alone. */
    @Test
    void theLastLineLeadsToThePageOfThisForwardAlone() {
        Composed forward = composed(TO_EDUCATION, new FollowUp(3));
        String id = forward.messageId().substring(1, forward.messageId().indexOf('@'));
        String line = text(forward).strip().lines().reduce((one, last) -> last).orElse("");
        assertThat(line).startsWith("Dealt with, or not for you? Please say so here: " + PAGE + id);
        String token = line.substring(line.lastIndexOf('/') + 1);
        assertThat(ForwardPage.id(Mails.HOPS, token)).contains(id);
        assertThat(ForwardPage.id(Mails.HOPS, id + id)).isEmpty();
        assertThat(ForwardPage.id(Mails.HOPS, id)).isEmpty();
    }

    @Test
    void aForwardToAColleagueThatNobodyFollowsUpSaysNothing() {
        assertThat(text(composed(TO_EDUCATION))).contains("24 pupils").doesNotContain(PAGE);
    }
}
