package app.jubek.server.evidence;

import app.jubek.core.rehearse.AllOrAny;
import app.jubek.core.rehearse.Counter;
import app.jubek.core.rehearse.CourseReach;
import app.jubek.core.rehearse.CriterionFigures;
import app.jubek.core.rehearse.Evidence;
import app.jubek.core.rehearse.Standing;
import app.jubek.core.rule.Rule;
import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.server.account.SignedIn;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** What the rule in hand does to past mail. */
@RestController
public class EvidenceController {
    private final PastMail pastMail;

    EvidenceController(PastMail pastMail) {
        this.pastMail = pastMail;
    }

    /**
     * @param order where in the course the rule is to stand, from 0
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

    record Counts(int picked, int leftOut, int takenEarlier, int alsoLater, int nearMiss, int outsideItsHours) {}

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

    record EvidenceView(
            int window,
            Counts counts,
            List<Integer> weeks,
            List<CriterionFigures> picksOut,
            List<CriterionFigures> leavesOut,
            List<EvidenceRow> rows,
            int rowsInAll,
            Optional<Example> example,
            Optional<Difference> difference,
            Optional<AllOrAnyView> allOrAny,
            String readBack) {}

    @PostMapping("/api/mailboxes/{mailbox}/evidence")
    EvidenceView evidence(
            @AuthenticationPrincipal SignedIn who, @PathVariable UUID mailbox, @RequestBody EvidenceAsked asked) {
        PastMail.Window window = pastMail.window(who, mailbox, asked.days());
        Rule rule = RuleBookJson.readRule(asked.rule());
        Evidence evidence = window.evidence(rule, asked.order());
        return new EvidenceView(
                evidence.window(),
                counts(evidence),
                Weeks.of(received(evidence, window), window.now(), window.days()),
                evidence.picksOut(),
                evidence.leavesOut(),
                EvidenceRows.of(evidence, rule, new EvidenceRows.Page(asked.counter(), asked.offset(), asked.limit())),
                evidence.count(asked.counter()),
                example(evidence, window, asked.example()),
                difference(evidence, rule, window),
                allOrAny(rule, window),
                rule.inWords());
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
            Evidence now = Evidence.of(
                    window.book(), live.id(), window.past(), window.mailbox().opening());
            BitSet would = picked(draft);
            BitSet does = picked(now);
            BitSet more = (BitSet) would.clone();
            more.andNot(does);
            does.andNot(would);
            return new Difference(more.cardinality(), does.cardinality());
        });
    }

    private static BitSet picked(Evidence evidence) {
        BitSet picked = new BitSet();
        evidence.places(Counter.PICKED).forEach(picked::set);
        return picked;
    }

    private static List<Instant> received(Evidence evidence, PastMail.Window window) {
        return evidence.places(Counter.PICKED).stream()
                .map(at -> window.past().message(at).received())
                .toList();
    }

    /** How the message that a rule was started from stands to it. */
    private static Optional<Example> example(Evidence evidence, PastMail.Window window, Optional<Long> id) {
        return id.flatMap(wanted -> window.places(List.of(wanted)).stream().findFirst())
                .map(place -> new Example(
                        PastMail.Line.of(window.past().message(place)),
                        evidence.standings().stream()
                                .filter(s -> s.at() == place)
                                .findFirst()
                                .map(Standing::counters)
                                .orElse(Set.of())));
    }

    /** How many messages of the last days each rule of the course takes and its exceptions spare, and how many stay. */
    record CourseFigures(int window, List<RuleReach> rules, int inInbox) {}

    record RuleReach(String rule, int picked, int spared) {}

    @GetMapping("/api/mailboxes/{mailbox}/course")
    CourseFigures course(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID mailbox,
            @RequestParam(defaultValue = "30") int days) {
        PastMail.Window window = pastMail.window(who, mailbox, days);
        CourseReach reach = CourseReach.of(window.book(), window.past());
        List<RuleReach> each = window.book().rules().stream()
                .map(rule -> new RuleReach(rule.id().value(), reach.picked(rule.id()), reach.spared(rule.id())))
                .toList();
        return new CourseFigures(window.past().size(), each, reach.inInbox());
    }

    private static Counts counts(Evidence evidence) {
        return new Counts(
                evidence.count(Counter.PICKED),
                evidence.count(Counter.LEFT_OUT),
                evidence.count(Counter.TAKEN_EARLIER),
                evidence.count(Counter.ALSO_LATER),
                evidence.count(Counter.NEAR_MISS),
                evidence.count(Counter.OUTSIDE_ITS_HOURS));
    }
}
