package app.jubek.server.records;

import app.jubek.core.step.StepState;
import app.jubek.server.step.Work;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Which records somebody wants to see: all that is named has to hold.
 *
 * @param states empty for any
 * @param actions empty for any
 * @param rule by its id
 * @param sender part of the name or address of who wrote the message
 * @param recipient part of the address to which something goes
 * @param words part of the message's subject
 * @param from when it was planned at the earliest
 * @param until when it was planned before
 */
public record RecordFilter(
        Set<StepState> states,
        Set<Work> actions,
        Optional<String> rule,
        Optional<String> sender,
        Optional<String> recipient,
        Optional<String> words,
        Optional<Instant> from,
        Optional<Instant> until) {
    public RecordFilter {
        states = Set.copyOf(states);
        actions = Set.copyOf(actions);
        sender = written(sender);
        recipient = written(recipient);
        words = written(words);
    }

    private static Optional<String> written(Optional<String> text) {
        return text.map(String::strip).filter(part -> !part.isEmpty());
    }

    /** Whether it asks for anything but a time, so that what concerns no message is left out. */
    boolean isAboutMessages() {
        return !states.isEmpty()
                || !actions.isEmpty()
                || rule.isPresent()
                || sender.isPresent()
                || recipient.isPresent()
                || words.isPresent();
    }

    /** Conditions on a step {@code s} and its message {@code m}, with their values. */
    record Condition(String text, Map<String, Object> values) {}

    Condition condition() {
        List<String> all = new ArrayList<>(List.of("s.mailboxId = :mailbox"));
        Map<String, Object> values = new HashMap<>();
        if (!states.isEmpty()) {
            all.add("s.state in :states");
            values.put("states", states);
        }
        if (!actions.isEmpty()) {
            all.add("s.kind in :actions");
            values.put("actions", actions);
        }
        rule.ifPresent(id -> {
            all.add("s.ruleId = :rule");
            values.put("rule", id);
        });
        recipient.ifPresent(part -> {
            all.add("lower(s.recipient) like :recipient escape '!'");
            values.put("recipient", containing(part));
        });
        sender.ifPresent(part -> {
            all.add("column(m.written_by as string) like :sender escape '!'");
            values.put("sender", containing(part));
        });
        words.ifPresent(part -> {
            all.add("lower(m.subject) like :words escape '!'");
            values.put("words", containing(part));
        });
        from.ifPresent(at -> {
            all.add("s.plannedAt >= :from");
            values.put("from", at);
        });
        until.ifPresent(at -> {
            all.add("s.plannedAt < :until");
            values.put("until", at);
        });
        return new Condition(String.join(" and ", all), values);
    }

    private static String containing(String part) {
        String literal = part.toLowerCase(Locale.ROOT)
                .replace("!", "!!")
                .replace("%", "!%")
                .replace("_", "!_");
        return "%" + literal + "%";
    }

    /** What is asked of the message needs it looked up. */
    String source() {
        boolean ofMessage = sender.isPresent() || words.isPresent();
        return " from StepEntity s" + (ofMessage ? " join MessageEntity m on m.id = s.messageId" : "") + " where ";
    }
}
