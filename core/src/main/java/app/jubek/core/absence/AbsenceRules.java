package app.jubek.core.absence;

import app.jubek.core.address.MailAddress;
import app.jubek.core.criteria.AddressCriterion;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Everything;
import app.jubek.core.criteria.Group;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.criteria.Trait;
import app.jubek.core.criteria.TraitCriterion;
import app.jubek.core.people.OwnSide;
import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.schedule.Schedule;
import app.jubek.core.step.FollowUp;
import app.jubek.core.step.ForwardOptions;
import app.jubek.core.step.Release;
import app.jubek.core.step.ReplyFrequency;
import app.jubek.core.step.ReplyOptions;
import app.jubek.core.step.Step;
import app.jubek.core.template.TemplateId;
import app.jubek.core.wording.Statement;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The rules by which an absence acts. What they hand over waits, and the answer names nobody, until the substitute has
 * agreed.
 *
 * @param names what the rules are called
 */
public record AbsenceRules(Absence absence, Standing standing, OwnSide own, Names names) {
    private static final String PREFIX = "absence-";
    private static final String ANSWER = "-answer";
    private static final String HAND_OVER = "-hand-over";

    /** Working days after which what nobody dealt with is shown to its owner again. */
    public static final int FOLLOWED_UP = 5;

    public record Names(String answer, String handOver) {}

    public static RuleId answerOf(String absence) {
        return new RuleId(PREFIX + absence + ANSWER);
    }

    public static RuleId handOverOf(String absence) {
        return new RuleId(PREFIX + absence + HAND_OVER);
    }

    /**
     * @param book whose fence keeps mail from being answered, and whose rules say what is handed over
     */
    public List<Rule> in(RuleBook book) {
        return Stream.concat(answer(book).stream(), handOver(book).stream()).toList();
    }

    private Optional<Rule> answer(RuleBook book) {
        List<TemplateId> templates = absence.answer().templates();
        if (absence.answer().to() == Audience.NOBODY) {
            return Optional.empty();
        }
        Optional<MailAddress> named = absence.takingOver()
                .filter(substitute -> standing == Standing.AGREED)
                .map(TakingOver::substitute);
        ReplyOptions options =
                ReplyOptions.usual(ReplyFrequency.ONCE).away(templates.subList(1, templates.size()), named);
        return Optional.of(rule(
                answerOf(absence.id()),
                names.answer(),
                senders(),
                book.fence(),
                List.of(new Step.Reply(templates.get(0), options))));
    }

    private Criterion senders() {
        return switch (absence.answer().to()) {
            case KNOWN -> new TraitCriterion(List.of(Trait.Relationship.KNOWN), false);
            case INSIDE ->
                new AddressCriterion(
                        AddressCriterion.AddressField.SENDER,
                        AddressCriterion.AddressMatch.AT_DOMAIN_OR_BELOW,
                        own.domains().isEmpty() ? List.of(own.identity().domain()) : own.domains(),
                        false);
            case GROUPS ->
                new TraitCriterion(
                        absence.answer().groups().stream()
                                .<Trait>map(Trait.InGroup::new)
                                .toList(),
                        false);
            default -> new Everything();
        };
    }

    private Optional<Rule> handOver(RuleBook book) {
        return absence.takingOver()
                .flatMap(substitute -> picked(substitute, book)
                        .map(mail -> rule(
                                handOverOf(absence.id()),
                                names.handOver(),
                                mail,
                                book.fence(),
                                List.of(handOver(substitute), new FollowUp(FOLLOWED_UP)))));
    }

    /** Which mail is handed over, told rule by rule. */
    public List<Statement> handedOver(RuleBook book) {
        return absence.takingOver().stream()
                .flatMap(substitute -> chosen(substitute, book))
                .map(Rule::mail)
                .toList();
    }

    private Stream<Rule> chosen(TakingOver substitute, RuleBook book) {
        return switch (substitute.share()) {
            case NOTHING -> Stream.empty();
            case ALL ->
                Stream.of(rule(handOverOf(absence.id()), names.handOver(), new Everything(), new Nothing(), List.of()));
            case OF_RULES ->
                substitute.rules().stream()
                        .flatMap(id ->
                                book.rules().stream().filter(rule -> rule.id().equals(id)));
        };
    }

    private Optional<Criterion> picked(TakingOver substitute, RuleBook book) {
        return chosen(substitute, book).map(AbsenceRules::mail).reduce(Group::either);
    }

    private static Criterion mail(Rule rule) {
        return rule.hasExceptions()
                ? new Group(
                        Group.Quantifier.ALL,
                        List.of(rule.picksOut(), new Group(Group.Quantifier.NONE, List.of(rule.leavesOut()))))
                : rule.picksOut();
    }

    private Step handOver(TakingOver substitute) {
        Release release = standing == Standing.AGREED ? Release.Plain.AT_ONCE : Release.Plain.ONCE_AGREED;
        List<MailAddress> to = List.of(substitute.substitute());
        return substitute.redirected()
                ? new Step.Redirect(to, List.of(), false, release)
                : new Step.Forward(to, List.of(), ForwardOptions.note("").released(release), false);
    }

    private Rule rule(RuleId id, String name, Criterion mail, Criterion leavesOut, List<Step> steps) {
        Schedule during = Schedule.ALWAYS.during(List.of(absence.period()));
        return new Rule(id, 1, name, mail, leavesOut, steps, Ending.CONTINUE, during, true);
    }
}
