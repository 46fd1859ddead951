package app.jubek.server.records;

import app.jubek.core.step.StepState;
import app.jubek.server.step.Work;
import java.time.Instant;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** A filter of records as an address writes it; what is not named is any. */
record RecordQuery(
        @Nullable Set<StepState> states,
        @Nullable Set<Work> actions,
        @Nullable String rule,
        @Nullable String sender,
        @Nullable String recipient,
        @Nullable String words,
        @Nullable Instant from,
        @Nullable Instant until) {
    RecordFilter filter() {
        return new RecordFilter(
                states == null ? Set.of() : states,
                actions == null ? Set.of() : actions,
                Optional.ofNullable(rule),
                Optional.ofNullable(sender),
                Optional.ofNullable(recipient),
                Optional.ofNullable(words),
                Optional.ofNullable(from),
                Optional.ofNullable(until));
    }
}
