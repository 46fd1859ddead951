package app.jubek.core.catchup;

import app.jubek.core.plan.PlannedStep;
import app.jubek.core.safety.Limits;
import app.jubek.core.safety.RepliesGiven;
import app.jubek.core.step.StepKind;
import app.jubek.core.wording.Statement;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What a catch-up would do, before anything is done.
 *
 * @param messages with which something is done
 * @param does what is done with how many messages
 * @param left what is left out of how many messages, and why
 * @param recipients who gets how many messages by hand-overs
 * @param answered who gets how many replies
 * @param tasks of the messages with which something is done, the latest first
 */
public record Preview(
        int messages,
        List<Does> does,
        List<Leaves> left,
        Map<String, Integer> recipients,
        Map<String, Integer> answered,
        List<Task> tasks) {

    /** One thing that is done with messages. */
    public record Does(StepKind kind, Statement what, int messages) {}

    /** One thing that is left out of messages. */
    public record Leaves(Statement what, Statement why, int messages) {}

    public static Preview of(CatchUp catchUp) {
        RepliesGiven given = new RepliesGiven();
        Map<Does, Integer> does = new LinkedHashMap<>();
        Map<Leaves, Integer> left = new LinkedHashMap<>();
        Map<String, Integer> recipients = new HashMap<>();
        Map<String, Integer> answered = new HashMap<>();
        List<Task> tasks = new ArrayList<>();
        for (int place : catchUp.candidates()) {
            catchUp.task(place, given).ifPresent(task -> {
                task.left()
                        .forEach(
                                one -> left.merge(new Leaves(catchUp.said(one.step()), one.why(), 0), 1, Integer::sum));
                for (PlannedStep step : task.steps()) {
                    does.merge(new Does(step.step().kind(), catchUp.said(step), 0), 1, Integer::sum);
                    Map<String, Integer> who = step.step().kind() == StepKind.REPLY ? answered : recipients;
                    step.sending().ifPresent(out -> who.merge(out.to().address(), 1, Integer::sum));
                    catchUp.replyOf(step, task.message()).ifPresent(given::note);
                }
                if (!task.steps().isEmpty()) {
                    tasks.add(task);
                }
            });
        }
        Collections.reverse(tasks);
        return new Preview(tasks.size(), does(does), left(left), recipients, answered, tasks);
    }

    private static List<Does> does(Map<Does, Integer> counts) {
        return counts.entrySet().stream()
                .map(each -> new Does(each.getKey().kind(), each.getKey().what(), each.getValue()))
                .sorted(Comparator.comparing(Does::messages).reversed())
                .toList();
    }

    private static List<Leaves> left(Map<Leaves, Integer> counts) {
        return counts.entrySet().stream()
                .map(each -> new Leaves(each.getKey().what(), each.getKey().why(), each.getValue()))
                .sorted(Comparator.comparing(Leaves::messages).reversed())
                .toList();
    }

    /** How many messages are handed on, counted once for each recipient. */
    public int handOvers() {
        return recipients.values().stream().mapToInt(Integer::intValue).sum();
    }

    public int replies() {
        return answered.values().stream().mapToInt(Integer::intValue).sum();
    }

    /** How many messages are deleted for good. */
    public int deletions() {
        return does.stream()
                .filter(one -> one.kind() == StepKind.DELETE)
                .mapToInt(Does::messages)
                .sum();
    }

    /** How long it takes at least. */
    public Duration takes(Limits limits) {
        return Pace.takes(messages, handOvers() + replies(), recipients, limits);
    }
}
