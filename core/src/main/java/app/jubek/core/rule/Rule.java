package app.jubek.core.rule;

import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.schedule.Schedule;
import app.jubek.core.step.Release;
import app.jubek.core.step.Step;
import app.jubek.core.wording.Argument;
import app.jubek.core.wording.Statement;
import java.util.List;
import java.util.stream.Stream;

/**
 * A standing order.
 *
 * @param version counts the changes of this rule, from 1
 * @param picksOut never {@link Nothing}
 * @param leavesOut the exceptions; {@link Nothing} for none
 * @param steps may be empty while a rule is being made; such a rule can't be switched on
 * @param schedule when it is active, while it is on
 * @param on the person's switch
 */
public record Rule(
        RuleId id,
        int version,
        String name,
        Criterion picksOut,
        Criterion leavesOut,
        List<Step> steps,
        Ending ending,
        Schedule schedule,
        boolean on) {
    public Rule {
        name = name.strip();
        steps = List.copyOf(steps);
        if (version < 1) {
            throw new IllegalArgumentException("a rule's version counts from 1, not " + version);
        }
        if (name.isEmpty() || name.length() > 200) {
            throw new IllegalArgumentException("give the rule a name of 1 to 200 characters");
        }
        if (picksOut instanceof Nothing) {
            throw new IllegalArgumentException(
                    "the rule \"" + name + "\" picks out nothing: add a criterion, or choose every message on purpose");
        }
    }

    /** A rule that is always active while it is on. */
    public Rule(
            RuleId id,
            int version,
            String name,
            Criterion picksOut,
            Criterion leavesOut,
            List<Step> steps,
            Ending ending,
            boolean on) {
        this(id, version, name, picksOut, leavesOut, steps, ending, Schedule.ALWAYS, on);
    }

    /** The rule with its switch set. */
    public Rule switched(boolean to) {
        return new Rule(id, version, name, picksOut, leavesOut, steps, ending, schedule, to);
    }

    /** The rule picking other mail out. */
    public Rule pickingOut(Criterion other) {
        return new Rule(id, version, name, other, leavesOut, steps, ending, schedule, on);
    }

    /** The rule with other exceptions. */
    public Rule leavingOut(Criterion other) {
        return new Rule(id, version, name, picksOut, other, steps, ending, schedule, on);
    }

    /** The rule, active at other times. */
    public Rule active(Schedule other) {
        return new Rule(id, version, name, picksOut, leavesOut, steps, ending, other, on);
    }

    /** The rule with other steps. */
    public Rule doing(List<Step> others) {
        return new Rule(id, version, name, picksOut, leavesOut, others, ending, schedule, on);
    }

    /** The rule, active at any time. */
    public Rule always() {
        return active(Schedule.ALWAYS);
    }

    /** The rule, active in its hours whatever the day. */
    public Rule onAnyDay() {
        return active(schedule.onAnyDay());
    }

    /** The same rule as another version of it. */
    public Rule asVersion(int other) {
        return new Rule(id, other, name, picksOut, leavesOut, steps, ending, schedule, on);
    }

    /** The steps that hand a message on, in their order. */
    public Stream<Step.HandOn> handsOn() {
        return steps.stream().filter(Step.HandOn.class::isInstance).map(Step.HandOn.class::cast);
    }

    public boolean ends() {
        return ending == Ending.STOP_HERE;
    }

    public boolean hasExceptions() {
        return !(leavesOut instanceof Nothing);
    }

    public boolean takesOutOfJunk() {
        return steps.contains(Step.Plain.OUT_OF_JUNK);
    }

    /** The names of the hours by which it is active or sends. */
    public Stream<String> hours() {
        return Stream.concat(schedule.of().stream(), steps.stream().flatMap(step -> step.release().hours().stream()));
    }

    /** Which mail it picks, as a phrase. */
    public Statement mail() {
        return MailPhrase.pickedOut(picksOut);
    }

    private static Statement done(Step step) {
        return step.release() == Release.Plain.AT_ONCE
                ? step.statement()
                : RulePhrase.DONE_WHEN.with(step.statement(), step.release().statement());
    }

    /** The rule read back as one sentence. */
    public Statement statement() {
        Argument does = steps.isEmpty()
                ? RulePhrase.NOTHING_YET.with()
                : Argument.and(steps.stream().map(Rule::done).toList());
        boolean always = schedule.equals(Schedule.ALWAYS);
        Statement mail = mail();
        if (hasExceptions()) {
            Argument exceptions = MailPhrase.leftOut(leavesOut);
            return always
                    ? RulePhrase.RULE_WITH_EXCEPTIONS.with(mail, does, exceptions)
                    : RulePhrase.RULE_WITH_EXCEPTIONS_AND_SCHEDULE.with(mail, does, exceptions, schedule.statement());
        }
        return always
                ? RulePhrase.RULE.with(mail, does)
                : RulePhrase.RULE_WITH_SCHEDULE.with(mail, does, schedule.statement());
    }
}
