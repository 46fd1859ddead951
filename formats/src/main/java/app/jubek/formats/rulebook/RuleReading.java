package app.jubek.formats.rulebook;

import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleId;
import app.jubek.core.schedule.Schedule;
import app.jubek.core.step.Step;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** One rule from JSON. */
final class RuleReading {
    private RuleReading() {}

    static Optional<Rule> read(Reading at) {
        at.only(Set.of("id", "version", "name", "picksOut", "leavesOut", "does", "ending", "active", "on"));
        Optional<Criterion> picksOut = at.optional("picksOut", CriterionJson::read);
        at.check(at.has("picksOut"), "picksOut", "is missing: say what the rule picks out");
        Optional<Criterion> leavesOut = at.optional("leavesOut", CriterionJson::read);
        Optional<Schedule> active = at.optional("active", ScheduleJson::read);
        Optional<Ending> ending = at.choice("ending", Ending.values(), Ending.CONTINUE);
        if (picksOut.isEmpty() || ending.isEmpty()) {
            at.list("does", StepJson::read);
            return Optional.empty();
        }
        return at.attempt(() -> {
            List<Step> does = at.list("does", StepJson::read);
            return new Rule(
                    new RuleId(at.text("id")),
                    at.number("version", 1),
                    at.text("name"),
                    picksOut.get(),
                    leavesOut.orElseGet(Nothing::new),
                    does,
                    at.has("ending") ? ending.get() : Ending.presetFor(picksOut.get(), does),
                    active.orElse(Schedule.ALWAYS),
                    at.flag("on"));
        });
    }
}
