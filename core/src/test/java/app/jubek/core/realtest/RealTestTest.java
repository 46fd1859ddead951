package app.jubek.core.realtest;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.Mails;
import app.jubek.core.address.MailAddress;
import app.jubek.core.criteria.AddressCriterion;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.MessagePart;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.decide.DecisionContext;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.outgoing.Stamp;
import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.step.Step;
import app.jubek.core.trial.Expectation;
import app.jubek.core.trial.Trial;
import app.jubek.core.view.MessageView;
import app.jubek.core.wording.Statement;
import java.time.Duration;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class RealTestTest {
    private static final RuleId ID = new RuleId("visits");
    private static final MailAddress PROBE = MailAddress.of("probe@press.example");

    private static RealTest of(Criterion picksOut, ReadMessage original, boolean picked) {
        return of(picksOut, original, new Step.File("Visits"), Expectation.picked(ID, picked));
    }

    private static RealTest of(Criterion picksOut, ReadMessage original, Step step, Expectation... must) {
        Rule rule = new Rule(ID, 1, "Visits", picksOut, new Nothing(), List.of(step), Ending.STOP_HERE, false);
        DecisionContext now = Mails.context();
        Trial trial = new Trial("trial", new MessageView(original, now.context()), List.of(must));
        return new RealTest.Judge(RuleBook.of(List.of(rule)), now, now).of(trial, sent(original));
    }

    private static ReadMessage sent(ReadMessage original) {
        Stamp stamp = new Stamp(
                PROBE,
                Mails.context().own().identity(),
                TestMessage.messageId("1", PROBE),
                Mails.NOW.atZone(ZoneOffset.UTC));
        byte[] bytes = TestMessage.bytes(original, Mails.context().own(), stamp);
        return Mails.read(TestMessage.asItComesIn(bytes, PROBE));
    }

    private static Criterion subject(String phrase) {
        return TextCriterion.phrases(MessagePart.Kind.SUBJECT, List.of(phrase));
    }

    private static ReadMessage mail(String more) {
        return Mails.read("From: Lena <lena@school.example>\r\nSubject: Our visit\r\nMessage-ID: <a@school.example>\r\n"
                + "References: <sent@ostrel-gardens.example>\r\n" + more + "\r\nWe are 24 pupils");
    }

    @Test
    void whatIsSentHasTheWordsAndHowItWasSentButAnswersNothingAndNamesNobodyElse() {
        ReadMessage sent =
                sent(mail("To: visits@ostrel-gardens.example, tom@school.example\r\nList-Id: <l.example>\r\n"));
        assertThat(sent.sender()).contains(PROBE);
        assertThat(sent.recipients()).extracting(MailAddress::key).containsExactly("visits@ostrel-gardens.example");
        assertThat(sent.texts().get(0).strip()).isEqualTo("We are 24 pupils");
        assertThat(sent.has("List-Id")).isTrue();
        assertThat(sent.references()).isEmpty();
        assertThat(sent.messageId())
                .hasValueSatisfying(
                        id -> assertThat(TestMessage.isMessageId(id)).isTrue());
    }

    @Test
    void aPausedRuleIsTestedAsIfItWereOn() {
        assertThat(of(subject("visit"), mail(""), true).against()).isEmpty();
        assertThat(of(subject("permit"), mail(""), false).against()).isEmpty();
    }

    @Test
    void whoeverSendsItCanBeRepliedTo() {
        Expectation replied = new Expectation(Expectation.Fate.REPLIED_WITH, "", true);
        ReadMessage visit = Mails.read(Mails.from("lena@school.example", "Our visit", "We are 24 pupils"));
        Step reply = new Step.Reply("", "Thank you.", Duration.ofDays(7));
        assertThat(of(subject("visit"), visit, reply, Expectation.picked(ID, true), replied)
                        .against())
                .isEmpty();
    }

    @Test
    void theOneThingThatMakesTheDifferenceIsNamed() {
        Criterion fromSchool = new AddressCriterion(
                AddressCriterion.AddressField.SENDER,
                AddressCriterion.AddressMatch.AT_DOMAIN,
                List.of("school.example"),
                false);
        assertThat(of(fromSchool, mail(""), true).against())
                .contains(RealTestPhrase.RESTS_ON_SENDER.with(PROBE.address()));
        assertThat(of(subject("permit"), mail(""), true).against()).contains(RealTestPhrase.DIFFERS_ALREADY.with());
        Criterion toTom = TextCriterion.phrases(MessagePart.Kind.RECIPIENT, List.of("tom@"));
        Optional<Statement> left =
                of(toTom, mail("To: tom@school.example\r\n"), true).against();
        assertThat(left).contains(RealTestPhrase.RESTS_ON_WHAT_IS_LEFT_OUT.with());
    }

    @Test
    void aMailboxDoesNotWriteToItself() {
        MailAddress own = Mails.context().own().identity();
        assertThat(RealTest.toOneself(Mails.context().own(), own)).isPresent();
        assertThat(RealTest.toOneself(Mails.context().own(), PROBE)).isEmpty();
    }
}
