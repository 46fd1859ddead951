package app.jubek.core.decide;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.Mails;
import app.jubek.core.address.MailAddress;
import app.jubek.core.criteria.AddressTest;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Everything;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.criteria.Part;
import app.jubek.core.criteria.TextTest;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.plan.Reason;
import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.step.Flag;
import app.jubek.core.step.Into;
import app.jubek.core.step.Step;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Which folder a message is in once all is done. */
class WhereItLiesTest {
    private static final Step SEEDS = new Step.File("Seeds");
    private static final String MAIL = Mails.from("anna@school.example", "Guided visit", "The invoice comes later.");

    private static Criterion words(String phrase) {
        return TextTest.phrases(Part.Kind.SUBJECT_OR_TEXT, List.of(phrase));
    }

    private static Rule rule(String name, Criterion picksOut, Step... steps) {
        List<Step> all = List.of(steps);
        return new Rule(new RuleId(name), 1, name, picksOut, new Nothing(), all, Ending.presetFor(all), true);
    }

    private static Decision decide(String mail, Rule... rules) {
        return Engine.decide(CompiledBook.of(RuleBook.of(List.of(rules))), Mails.read(mail), Mails.surroundings());
    }

    private static List<String> done(Decision decision) {
        return decision.planned().stream()
                .map(PlannedStep::step)
                .map(Step::done)
                .toList();
    }

    @Test
    void whatLeavesOnceItWasHandedOnGoesToTheTrashUnlessItIsFiledOrKept() {
        Step leaves = new Step.Redirect(List.of(MailAddress.of("education@ostrel-gardens.example")), true);
        assertThat(carriedOut(leaves))
                .containsExactly("redirected to education@ostrel-gardens.example", "put into the trash");
        assertThat(carriedOut(leaves, SEEDS))
                .containsExactly("redirected to education@ostrel-gardens.example", "filed in Seeds");
        assertThat(carriedOut(leaves, Step.Plain.KEEP))
                .containsExactly("redirected to education@ostrel-gardens.example");
        assertThat(carriedOut(SEEDS, Step.Plain.ARCHIVE)).containsExactly("copied to Seeds", "archived");
        assertThat(carriedOut(Step.Plain.ARCHIVE, Step.Plain.KEEP)).isEmpty();
        assertThat(carriedOut(Step.Plain.ARCHIVE, Step.Plain.TRASH)).containsExactly("archived");
    }

    private static List<String> carriedOut(Step... steps) {
        return decide(MAIL, rule("a", words("visit"), steps)).asCarriedOut().stream()
                .map(step -> step.step().done())
                .toList();
    }

    private static Step filed(Into.Each each) {
        return new Step.File(new Into("Sorted", Optional.of(each), Optional.empty()));
    }

    @Test
    void aFolderForEachSenderIsNamedByTheSenderThatTheRuleNames() {
        Criterion school = new AddressTest(
                AddressTest.Part.SENDER, AddressTest.How.AT_DOMAIN_OR_BELOW, List.of("school.example"), false);
        Step bySender = filed(Into.Each.SENDER);
        assertThat(done(decide(MAIL, rule("a", school, bySender)))).containsExactly("filed in Sorted/school.example");
        assertThat(done(decide(MAIL, rule("a", words("visit"), bySender))))
                .containsExactly("filed in Sorted/anna@school.example");
    }

    @Test
    void aFolderForEachValueListedIsNamedByTheFirstOneThatTheMessageHas() {
        Criterion listed = TextTest.phrases(Part.Kind.SUBJECT, List.of("seed list", "guided", "visit"));
        Step byValue = filed(Into.Each.VALUE);
        assertThat(done(decide(MAIL, rule("a", listed, byValue)))).containsExactly("filed in Sorted/guided");
        assertThat(done(decide(MAIL, rule("a", new Everything(), byValue)))).containsExactly("filed in Sorted");
    }

    private static Decision decideInJunk(Rule... rules) {
        return Engine.decide(CompiledBook.of(RuleBook.of(List.of(rules))), Mails.read(MAIL), Mails.inJunk());
    }

    @Test
    void whatTheFenceKeepsInIsFiledInNoOtherMailbox() {
        Into orders = new Into("Orders", Optional.empty(), Optional.of(MailAddress.of("seeds@ostrel-gardens.example")));
        Rule rule = rule("a", words("visit"), new Step.File(orders), new Step.Copy(orders), new Step.Copy("Visits"));
        RuleBook fenced = new RuleBook(List.of(rule), words("invoice"), List.of());
        Decision decision = Engine.decide(CompiledBook.of(fenced), Mails.read(MAIL), Mails.surroundings());
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
        assertThat(left.inWords()).anyMatch(line -> line.contains("no rule takes it out of there"));
        assertThat(done(left)).isEmpty();
        Decision taken = decideInJunk(rescue, read, answer);
        assertThat(done(taken)).containsExactly("taken out of junk", "marked read");
        assertThat(taken.notDone()).singleElement().extracting("reason").isEqualTo(Reason.SPAM);
        assertThat(done(decide(MAIL, rescue))).isEmpty();
    }
}
