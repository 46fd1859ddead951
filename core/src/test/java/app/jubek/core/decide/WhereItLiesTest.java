package app.jubek.core.decide;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.Mails;
import app.jubek.core.address.MailAddress;
import app.jubek.core.criteria.AddressCriterion;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Everything;
import app.jubek.core.criteria.MessagePart;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.plan.Reason;
import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.step.Flag;
import app.jubek.core.step.Step;
import app.jubek.core.step.TargetFolder;
import app.jubek.core.wording.Statement;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Which folder a message is in once all is done. */
class WhereItLiesTest {
    private static final Step SEEDS = new Step.File("Seeds");
    private static final String MAIL = Mails.from("anna@school.example", "Guided visit", "The invoice comes later.");

    private static Criterion words(String phrase) {
        return TextCriterion.phrases(MessagePart.Kind.SUBJECT_OR_TEXT, List.of(phrase));
    }

    private static Rule rule(String name, Criterion picksOut, Step... steps) {
        List<Step> all = List.of(steps);
        return new Rule(new RuleId(name), 1, name, picksOut, new Nothing(), all, Ending.presetFor(picksOut, all), true);
    }

    private static Decision decide(String mail, Rule... rules) {
        return Engine.decide(CompiledBook.of(RuleBook.of(List.of(rules))), Mails.read(mail), Mails.context());
    }

    private static List<String> done(Decision decision) {
        return decision.planned().stream()
                .map(step -> Mails.words(step.statement()))
                .toList();
    }

    @Test
    void whatLeavesOnceItWasHandedOnGoesToTheTrashUnlessItIsFiledOrKept() {
        Step leaves = new Step.Redirect(List.of(MailAddress.of("education@ostrel-gardens.example")), true);
        assertThat(carriedOut(leaves))
                .containsExactly("redirected to education@ostrel-gardens.example", "moved to the trash");
        assertThat(carriedOut(leaves, SEEDS))
                .containsExactly("redirected to education@ostrel-gardens.example", "filed in Seeds");
        assertThat(carriedOut(leaves, Step.Plain.KEEP))
                .containsExactly("redirected to education@ostrel-gardens.example");
        assertThat(carriedOut(SEEDS, Step.Plain.ARCHIVE))
                .containsExactly("copied to Seeds", "moved to the archive folder");
        assertThat(carriedOut(Step.Plain.ARCHIVE, Step.Plain.KEEP)).isEmpty();
        assertThat(carriedOut(Step.Plain.ARCHIVE, Step.Plain.TRASH)).containsExactly("moved to the archive folder");
    }

    private static List<String> carriedOut(Step... steps) {
        return decide(MAIL, rule("a", words("visit"), steps)).planned().stream()
                .map(step -> Mails.words(step.statement()))
                .toList();
    }

    private static Step filed(TargetFolder.Each each) {
        return new Step.File(new TargetFolder("Sorted", Optional.of(each), Optional.empty()));
    }

    @Test
    void aFolderForEachSenderIsNamedByTheSenderThatTheRuleNames() {
        Criterion school = new AddressCriterion(
                AddressCriterion.AddressField.SENDER,
                AddressCriterion.AddressMatch.AT_DOMAIN_OR_BELOW,
                List.of("school.example"),
                false);
        Step bySender = filed(TargetFolder.Each.SENDER);
        assertThat(done(decide(MAIL, rule("a", school, bySender)))).containsExactly("filed in Sorted/school.example");
        assertThat(done(decide(MAIL, rule("a", words("visit"), bySender))))
                .containsExactly("filed in Sorted/anna@school.example");
    }

    @Test
    void aFolderForEachValueListedIsNamedByTheFirstOneThatTheMessageHas() {
        Criterion listed = TextCriterion.phrases(MessagePart.Kind.SUBJECT, List.of("seed list", "guided", "visit"));
        Step byValue = filed(TargetFolder.Each.VALUE);
        assertThat(done(decide(MAIL, rule("a", listed, byValue)))).containsExactly("filed in Sorted/guided");
        assertThat(done(decide(MAIL, rule("a", new Everything(), byValue)))).containsExactly("filed in Sorted");
    }

    private static Decision decideInJunk(Rule... rules) {
        return Engine.decide(CompiledBook.of(RuleBook.of(List.of(rules))), Mails.read(MAIL), Mails.inJunk());
    }

    @Test
    void whatTheFenceKeepsInIsFiledInNoOtherMailbox() {
        TargetFolder orders = new TargetFolder(
                "Orders", Optional.empty(), Optional.of(MailAddress.of("seeds@ostrel-gardens.example")));
        Rule rule = rule("a", words("visit"), new Step.File(orders), new Step.Copy(orders), new Step.Copy("Visits"));
        RuleBook fenced = new RuleBook(List.of(rule), words("invoice"), List.of());
        Decision decision = Engine.decide(CompiledBook.of(fenced), Mails.read(MAIL), Mails.context());
        assertThat(done(decision)).containsExactly("copied to Visits");
        assertThat(decision.staysInInbox()).isTrue();
        assertThat(decision.notDone()).extracting("reason").containsExactly(Reason.FENCE, Reason.FENCE);
    }

    /** Some rule has to say that it is no junk; then it is like mail that came to the inbox, but is not answered. */
    @Test
    void whatTheMailServerTakesForJunkIsLeftAloneUnlessARuleTakesItOutOfThere() {
        Rule read = rule("a", words("visit"), Step.Mark.with(Flag.SEEN));
        Rule answer = rule("b", words("visit"), new Step.Reply("", "Thank you.", Duration.ofDays(7)));
        Rule rescue = rule("c", words("visit"), Step.Plain.OUT_OF_JUNK);
        Decision left = decideInJunk(read, answer);
        assertThat(left.notes()).extracting(Statement::code).containsExactly("LEFT_IN_JUNK");
        assertThat(done(left)).isEmpty();
        Decision taken = decideInJunk(rescue, read, answer);
        assertThat(done(taken)).containsExactly("moved out of junk", "marked read");
        assertThat(taken.notDone()).singleElement().extracting("reason").isEqualTo(Reason.SPAM);
        assertThat(done(decide(MAIL, rescue))).isEmpty();
    }
}
