package app.jubek.server.catchup;

import app.jubek.core.catchup.Pace;
import app.jubek.core.catchup.Preview;
import app.jubek.core.catchup.Task;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.safety.Limits;
import app.jubek.core.step.StepKind;
import app.jubek.core.step.StepState;
import app.jubek.core.wording.Statement;
import app.jubek.server.pastmail.PastMail;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Catch-ups as screens show them. */
final class CatchUpViews {
    private static final int SAMPLE = 30;
    private static final int PEOPLE = 500;

    private CatchUpViews() {}

    /** A rule of a catch-up, by the name it has now. */
    record CatchUpRule(String id, String name) {}

    /**
     * How a catch-up stands.
     *
     * @param note why it does not go on, or waits
     * @param readDone messages of its folders that were read for it
     * @param before mail from then on is not its
     * @param messages with which something was planned
     * @param messagesOf as it was looked over; 0 of one that is done again
     * @param done steps
     * @param open steps that are still to be done, or wait
     * @param seconds that it takes at least from now on
     */
    record CatchUpView(
            String id,
            List<CatchUpRule> rules,
            List<String> folders,
            boolean subfolders,
            int days,
            CatchUpState state,
            Optional<Statement> note,
            int readDone,
            int readOf,
            Instant before,
            int messages,
            int messagesOf,
            int passedOver,
            int done,
            int open,
            int failed,
            int undone,
            int seconds,
            boolean handOvers,
            boolean replies,
            Optional<Every> every,
            Optional<Instant> nextAt,
            String begunBy,
            Instant begunAt,
            Optional<Instant> endedAt) {}

    static CatchUpView view(CatchUpEntity of, RuleBook book, Map<StepState, Integer> steps) {
        int open = count(steps, StepState.READY, StepState.SENDING, StepState.HELD);
        int left = Math.max(0, of.messagesOf() - of.messages());
        return new CatchUpView(
                of.id().toString(),
                of.rules().stream().map(rule -> rule(rule, book)).toList(),
                of.folders(),
                of.withSubfolders(),
                of.days(),
                of.state(),
                of.note(),
                of.readDone(),
                of.readOf(),
                of.before(),
                of.messages(),
                of.messagesOf(),
                of.failures(),
                count(steps, StepState.SENT),
                open,
                count(steps, StepState.FAILED, StepState.UNCERTAIN),
                count(steps, StepState.UNDONE),
                (left + Pace.MESSAGES_A_SECOND - 1) / Pace.MESSAGES_A_SECOND,
                of.terms().handOvers(),
                of.terms().replies(),
                of.repeats(),
                of.state() == CatchUpState.WAITING ? Optional.of(of.nextAt()) : Optional.empty(),
                of.begunBy(),
                of.begunAt(),
                of.endedAt());
    }

    private static CatchUpRule rule(RuleId id, RuleBook book) {
        return new CatchUpRule(id.value(), book.find(id).map(Rule::name).orElse(id.value()));
    }

    private static int count(Map<StepState, Integer> steps, StepState... states) {
        int all = 0;
        for (StepState state : states) {
            all += steps.getOrDefault(state, 0);
        }
        return all;
    }

    /**
     * What a catch-up would do.
     *
     * @param looked messages in its folders and days
     * @param handOvers messages that would be handed on, once for each recipient; as wanted
     * @param recipients who gets how many of them
     * @param answered who gets how many replies, at most 500 of them
     * @param deletions messages that would be deleted for good
     * @param seconds that it takes at least
     * @param sample the latest few
     */
    record CatchUpPreview(
            int looked,
            int messages,
            List<CatchUpDoes> does,
            List<CatchUpLeaves> left,
            int handOvers,
            List<CatchUpPerson> recipients,
            int replies,
            List<CatchUpPerson> answered,
            int deletions,
            long seconds,
            List<CatchUpLine> sample) {}

    record CatchUpDoes(StepKind kind, Statement what, int messages) {}

    record CatchUpLeaves(Statement what, Statement why, int messages) {}

    record CatchUpPerson(String address, int messages) {}

    record CatchUpLine(PastMail.Line message, List<Statement> does) {}

    static CatchUpPreview preview(CatchUps.Looked looked, Limits limits) {
        Preview preview = looked.preview();
        return new CatchUpPreview(
                looked.seen().looked(),
                preview.messages(),
                preview.does().stream()
                        .map(one -> new CatchUpDoes(one.kind(), one.what(), one.messages()))
                        .toList(),
                preview.left().stream()
                        .map(one -> new CatchUpLeaves(one.what(), one.why(), one.messages()))
                        .toList(),
                preview.handOvers(),
                people(preview.recipients()),
                preview.replies(),
                people(preview.answered()),
                preview.deletions(),
                preview.takes(limits).toSeconds(),
                preview.tasks().stream().limit(SAMPLE).map(CatchUpViews::line).toList());
    }

    private static List<CatchUpPerson> people(Map<String, Integer> counts) {
        return counts.entrySet().stream()
                .map(each -> new CatchUpPerson(each.getKey(), each.getValue()))
                .sorted(Comparator.comparing(CatchUpPerson::messages).reversed().thenComparing(CatchUpPerson::address))
                .limit(PEOPLE)
                .toList();
    }

    private static CatchUpLine line(Task task) {
        return new CatchUpLine(
                PastMail.Line.of(task.message()),
                task.steps().stream().map(PlannedStep::statement).toList());
    }
}
