package app.jubek.server.rehearsal;

import app.jubek.core.rehearsal.Rehearsal;
import app.jubek.core.rehearsal.Side;
import app.jubek.core.rule.RuleId;
import app.jubek.core.wording.Statement;
import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.server.account.Allowed;
import app.jubek.server.account.SignedIn;
import app.jubek.server.pastmail.PastMail;
import app.jubek.server.platform.Refused;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.time.LocalDate;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Other rules over past mail, beside those of now. */
@RestController
class RehearsalsController {
    private static final int PAGE = 50;
    private static final int LONGEST_WORDS = 200;

    private final Rehearsals rehearsals;
    private final JsonMapper json;

    RehearsalsController(Rehearsals rehearsals, JsonMapper json) {
        this.rehearsals = rehearsals;
        this.json = json;
    }

    /**
     * @param words what is rehearsed, as a person says it
     * @param document the rules to be rehearsed, all of them
     */
    record RehearsalBegun(
            String words,
            @Schema(ref = "#/components/schemas/RuleBook") JsonNode document,
            int days) {}

    /**
     * @param done messages that were looked at
     * @param of messages in all; 0 while past mail is still being read
     * @param result once it is done
     */
    record RehearsalStanding(
            String id,
            Rehearsals.State state,
            int done,
            int of,
            int days,
            long millis,
            Optional<RehearsalViews.RehearsalResult> result) {}

    @PostMapping("/api/mailboxes/{mailbox}/rehearsals")
    RehearsalStanding beginRehearsal(
            @AuthenticationPrincipal SignedIn who, @Allowed UUID mailbox, @RequestBody RehearsalBegun begun) {
        String words = begun.words().substring(0, Math.min(begun.words().length(), LONGEST_WORDS));
        return standing(
                rehearsals.begin(mailbox, words, RuleBookJson.read(begun.document()), begun.days(), who.shownName()));
    }

    /**
     * @param words what is rehearsed
     * @param of messages in all; 0 while it is not known
     */
    record OpenRehearsal(
            String id,
            String words,
            Rehearsals.State state,
            int done,
            int of,
            int days,
            Instant begunAt,
            String begunBy) {}

    /** Those that were begun and not closed, the newest first. */
    @GetMapping("/api/mailboxes/{mailbox}/rehearsals")
    List<OpenRehearsal> openRehearsals(@Allowed UUID mailbox) {
        return rehearsals.open(mailbox).stream()
                .map(each -> new OpenRehearsal(
                        each.of().id().toString(),
                        each.of().words(),
                        each.state(),
                        each.done(),
                        each.messages(),
                        each.of().days(),
                        each.of().begunAt(),
                        each.of().begunBy()))
                .toList();
    }

    /** The rules of one of them, and what it was called. */
    record RehearsedRules(
            String words,
            @Schema(ref = "#/components/schemas/RuleBook") JsonNode document,
            int days) {}

    @GetMapping("/api/mailboxes/{mailbox}/rehearsals/{rehearsal}/rules")
    RehearsedRules rehearsedRules(@Allowed UUID mailbox, @PathVariable UUID rehearsal) {
        OpenRehearsalEntity of = rehearsals.find(mailbox, rehearsal).of();
        return new RehearsedRules(of.words(), json.readTree(of.document()), of.days());
    }

    @GetMapping("/api/mailboxes/{mailbox}/rehearsals/{rehearsal}")
    RehearsalStanding rehearsalStanding(@Allowed UUID mailbox, @PathVariable UUID rehearsal) {
        return standing(rehearsals.find(mailbox, rehearsal));
    }

    private static RehearsalStanding standing(Rehearsals.Job job) {
        return new RehearsalStanding(
                job.of().id().toString(),
                job.state(),
                job.done(),
                job.messages(),
                job.of().days(),
                job.millis(),
                job.made().map(Rehearsals.Made::result));
    }

    @DeleteMapping("/api/mailboxes/{mailbox}/rehearsals/{rehearsal}")
    void endRehearsal(@Allowed UUID mailbox, @PathVariable UUID rehearsal) {
        rehearsals.end(mailbox, rehearsal);
    }

    /** Of which number the messages are asked for. */
    enum Of {
        CHANGING,
        /** From the fate {@code one} to the fate {@code other}. */
        FLOW,
        /** Each of the next three of the rule {@code one}. */
        RULE_BEFORE,
        RULE_AFTER,
        NEAR,
        /** Of the rules {@code one} and {@code other}. */
        OVERLAP,
        /** Of the sender {@code one}. */
        AGAIN,
        /** To the destination {@code one}. */
        TO,
        REPLIES
    }

    /**
     * @param before what is done by the rules of now
     * @param after and by the others
     */
    record RehearsedMessage(PastMail.Line message, List<Statement> before, List<Statement> after) {}

    record RehearsedMessages(int messages, List<RehearsedMessage> page) {}

    /**
     * @param since only messages of this day and the days after it; with {@code days}
     */
    @GetMapping("/api/mailboxes/{mailbox}/rehearsals/{rehearsal}/messages")
    RehearsedMessages rehearsedMessages(
            @Allowed UUID mailbox,
            @PathVariable UUID rehearsal,
            @RequestParam Of of,
            @RequestParam(defaultValue = "") String one,
            @RequestParam(defaultValue = "") String other,
            @RequestParam Optional<LocalDate> since,
            @RequestParam(defaultValue = "1") int days,
            @RequestParam(defaultValue = "0") int offset) {
        Rehearsals.Made found = rehearsals.made(mailbox, rehearsal);
        Rehearsal made = found.rehearsal();
        BitSet where = where(found, of, one, other);
        since.ifPresent(first -> where.and(made.within(first, days)));
        int[] newestFirst =
                where.stream().map(at -> -at).sorted().map(at -> -at).toArray();
        List<RehearsedMessage> page = IntStream.of(newestFirst)
                .skip(Math.max(0, offset))
                .limit(PAGE)
                .mapToObj(at -> line(made, at))
                .toList();
        return new RehearsedMessages(newestFirst.length, page);
    }

    private static BitSet where(Rehearsals.Made found, Of of, String one, String other) {
        Rehearsal made = found.rehearsal();
        return switch (of) {
            case CHANGING -> made.changing();
            case FLOW -> flow(found, one, other);
            case RULE_BEFORE -> made.before().picked(new RuleId(one));
            case RULE_AFTER -> made.after().picked(new RuleId(one));
            case OVERLAP -> made.overlap(new RuleId(one), new RuleId(other));
            case NEAR ->
                made.nearMisses().stream()
                        .filter(near -> near.rule().id().value().equals(one))
                        .map(Rehearsal.Near::where)
                        .findFirst()
                        .orElseGet(BitSet::new);
            case AGAIN -> made.after().answered(one);
            case TO -> made.after().reaching(one);
            case REPLIES -> made.after().answered();
        };
    }

    private static BitSet flow(Rehearsals.Made found, String from, String to) {
        Optional<Side.Fate> was = found.fates().find(from);
        Optional<Side.Fate> would = found.fates().find(to);
        return was.isPresent() && would.isPresent()
                ? found.rehearsal().of(new Rehearsal.Flow(was.get(), would.get(), 0))
                : new BitSet();
    }

    private static RehearsedMessage line(Rehearsal made, int at) {
        return new RehearsedMessage(
                PastMail.Line.of(made.past().message(at)),
                made.before().fate(at).statements(),
                made.after().fate(at).statements());
    }

    /** The whole decision on one message by each, a statement for each rule and each step. */
    record BothDecisions(List<Statement> before, List<Statement> after) {}

    @GetMapping("/api/mailboxes/{mailbox}/rehearsals/{rehearsal}/messages/{message}")
    BothDecisions bothDecisions(@Allowed UUID mailbox, @PathVariable UUID rehearsal, @PathVariable long message) {
        Rehearsal made = rehearsals.made(mailbox, rehearsal).rehearsal();
        int at = IntStream.range(0, made.past().size())
                .filter(i -> made.past().message(i).id() == message)
                .findFirst()
                .orElseThrow(Refused::notFound);
        return new BothDecisions(
                made.before().decision(at).statements(),
                made.after().decision(at).statements());
    }
}
