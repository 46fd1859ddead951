package app.jubek.server.pastmail;

import app.jubek.core.evidence.AllOrAny;
import app.jubek.core.evidence.Cautions;
import app.jubek.core.evidence.Counter;
import app.jubek.core.evidence.CriterionFigures;
import app.jubek.core.evidence.Evidence;
import app.jubek.core.evidence.Rehearsed;
import app.jubek.core.evidence.RuleMatches;
import app.jubek.core.evidence.Shadowed;
import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleId;
import app.jubek.core.template.TextFaults;
import app.jubek.core.wording.Statement;
import app.jubek.formats.rulebook.DraftRule;
import app.jubek.formats.rulebook.Fault;
import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.server.account.Allowed;
import app.jubek.server.deciding.DecisionContexts;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Duration;
import java.time.Instant;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** What the edited rule does to past mail. */
@RestController
public class EvidenceController {
    private static final Duration SHADOWED_WITHIN = Duration.ofDays(30);

    private final PastMail pastMail;
    private final DecisionContexts contexts;

    EvidenceController(PastMail pastMail, DecisionContexts contexts) {
        this.pastMail = pastMail;
        this.contexts = contexts;
    }

    /**
     * @param order where among the rules the rule is to be, from 0
     * @param counter whose messages are listed
     * @param example the message the rule was started from
     */
    record EvidenceAsked(
            @Schema(ref = "#/components/schemas/Rule") JsonNode rule,
            int order,
            int days,
            Counter counter,
            int offset,
            int limit,
            Optional<Long> example) {}

    record Counts(int picked, int leftOut, int stoppedEarlier, int laterRulesAct, int nearMiss, int outsideItsHours) {}

    /**
     * What all and any mean, on real mail.
     *
     * @param criterion which one the second message meets, from 0
     */
    record AllOrAnyView(Optional<PastMail.Line> all, Optional<PastMail.Line> one, int criterion) {}

    /**
     * What changes against the rule as it is live.
     *
     * @param more messages that would be picked and are not now
     * @param fewer messages that are picked now and would not be
     */
    record Difference(int more, int fewer) {}

    /**
     * @param counters empty when the rule does not come near it
     */
    record Example(PastMail.Line message, Set<Counter> counters) {}

    /**
     * A rule that messages of the last days would no longer reach, or that would no longer answer them.
     *
     * @param order where the edited rule would have to be so that it is not so
     */
    record ShadowedView(String rule, String name, boolean answers, int messages, int order) {}

    /**
     * @param answered how many of the picked it would answer; empty when it answers nothing
     * @param shadows the rules that the edited one would keep from messages
     * @param cautions about whom it hands mail to
     * @param warnings of the texts that are written in the rule itself
     * @param unfinished the actions that can't be carried out yet, which the rest leaves aside
     * @param presetEnding what the rule's ending is where it says none
     */
    record EvidenceView(
            int messages,
            Counts counts,
            Optional<Integer> answered,
            List<Integer> weeks,
            List<CriterionFigures> picksOut,
            List<CriterionFigures> leavesOut,
            List<EvidenceRow> rows,
            int rowsInAll,
            Optional<Example> example,
            Optional<Difference> difference,
            Optional<AllOrAnyView> allOrAny,
            List<ShadowedView> shadows,
            List<Statement> cautions,
            List<Statement> warnings,
            Statement readBack,
            List<Fault> unfinished,

            @Schema(allowableValues = {"continue", "stop here"})
            String presetEnding) {}

    @PostMapping("/api/mailboxes/{mailbox}/evidence")
    EvidenceView evidence(@Allowed UUID mailbox, @RequestBody EvidenceAsked asked) {
        PastMail.Window window = pastMail.window(mailbox, asked.days());
        DraftRule draft = RuleBookJson.readDraft(asked.rule());
        Rule rule = draft.rule();
        Evidence evidence = window.evidence(rule, asked.order());
        Rehearsed rehearsed = window.rehearsed(evidence, contexts.ofRehearsal(window.mailbox(), window.now()));
        return new EvidenceView(
                evidence.total(),
                counts(evidence),
                rehearsed.answered(),
                Weeks.of(received(evidence, window), window.now(), window.days()),
                evidence.picksOut(),
                evidence.leavesOut(),
                EvidenceRows.of(
                        evidence,
                        rehearsed,
                        rule,
                        new EvidenceRows.Page(asked.counter(), asked.offset(), asked.limit())),
                evidence.count(asked.counter()),
                example(evidence, window, asked.example()),
                difference(evidence, rule, window),
                allOrAny(rule, window),
                shadows(evidence, rule, window),
                Cautions.of(evidence, window.mailbox().own()),
                rule.steps().stream()
                        .flatMap(step -> TextFaults.in(step.ownTexts()).stream())
                        .distinct()
                        .toList(),
                rule.statement(),
                draft.unfinished(),
                RuleBookJson.word(Ending.presetFor(rule.picksOut(), rule.steps())));
    }

    private static List<ShadowedView> shadows(Evidence evidence, Rule rule, PastMail.Window window) {
        List<RuleId> others = window.book().rules().stream()
                .map(Rule::id)
                .filter(id -> !id.equals(rule.id()))
                .toList();
        Instant since = window.now().minus(SHADOWED_WITHIN);
        return Shadowed.of(
                        window.book(),
                        evidence,
                        window.past(),
                        since,
                        window.mailbox().opening())
                .stream()
                .map(one -> new ShadowedView(
                        one.rule().id().value(),
                        one.rule().name(),
                        one.answers(),
                        one.messages(),
                        others.indexOf(one.rule().id()) + 1))
                .toList();
    }

    private static Optional<AllOrAnyView> allOrAny(Rule rule, PastMail.Window window) {
        return AllOrAny.of(rule.picksOut(), window.past())
                .map(found -> new AllOrAnyView(
                        found.all().map(at -> PastMail.Line.of(window.past().message(at))),
                        found.one().map(one -> PastMail.Line.of(window.past().message(one.at()))),
                        found.one().map(AllOrAny.One::criterion).orElse(0)));
    }

    private static Optional<Difference> difference(Evidence draft, Rule rule, PastMail.Window window) {
        return window.book().find(rule.id()).filter(live -> !live.equals(rule)).map(live -> {
            BitSet does = window.picksLive(live);
            BitSet would = draft.picked();
            return new Difference(without(would, does), without(does, would));
        });
    }

    private static int without(BitSet these, BitSet those) {
        BitSet rest = (BitSet) these.clone();
        rest.andNot(those);
        return rest.cardinality();
    }

    private static List<Instant> received(Evidence evidence, PastMail.Window window) {
        return evidence.places(Counter.PICKED).stream()
                .map(at -> window.past().message(at).received())
                .toList();
    }

    /** How the message that a rule was started from stands to it. */
    private static Optional<Example> example(Evidence evidence, PastMail.Window window, Optional<Long> id) {
        return id.flatMap(wanted -> window.places(List.of(wanted)).stream().findFirst())
                .map(place -> new Example(PastMail.Line.of(window.past().message(place)), evidence.standing(place)));
    }

    /** How many messages of the last days each rule picks and its exceptions leave out, and how many stay. */
    record RuleBookFigures(int messages, List<RuleFigures> rules, int inInbox) {}

    record RuleFigures(String rule, int picked, int leftOut) {}

    @GetMapping("/api/mailboxes/{mailbox}/rule-book/figures")
    RuleBookFigures figures(@Allowed UUID mailbox, @RequestParam(defaultValue = "30") int days) {
        PastMail.Window window = pastMail.window(mailbox, days);
        RuleMatches found =
                RuleMatches.of(window.book(), window.past(), contexts.ofRehearsal(window.mailbox(), window.now()));
        List<RuleFigures> each = window.book().rules().stream()
                .map(rule -> new RuleFigures(rule.id().value(), found.picked(rule.id()), found.excluded(rule.id())))
                .toList();
        return new RuleBookFigures(window.past().size(), each, found.inInbox());
    }

    private static Counts counts(Evidence evidence) {
        return new Counts(
                evidence.count(Counter.PICKED),
                evidence.count(Counter.LEFT_OUT),
                evidence.count(Counter.STOPPED_EARLIER),
                evidence.count(Counter.LATER_RULES_ACT),
                evidence.count(Counter.NEAR_MISS),
                evidence.count(Counter.OUTSIDE_ITS_HOURS));
    }
}
