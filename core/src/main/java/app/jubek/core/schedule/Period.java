package app.jubek.core.schedule;

import java.time.LocalDate;
import java.util.Optional;

/**
 * From the first to the last local day, both of them in it.
 *
 * @param first empty when it has no beginning
 * @param last empty when it has no end
 */
public record Period(Optional<LocalDate> first, Optional<LocalDate> last) {
    public static final Period OPEN = new Period(Optional.empty(), Optional.empty());

    public Period {
        if (first.isPresent() && last.isPresent() && last.get().isBefore(first.get())) {
            throw new IllegalArgumentException(
                    "the last day, " + last.get() + ", lies before the first, " + first.get() + ": swap them");
        }
    }

    boolean contains(LocalDate day) {
        return first.map(f -> !day.isBefore(f)).orElse(true)
                && last.map(l -> !day.isAfter(l)).orElse(true);
    }

    String inWords() {
        String from = first.map(f -> " from " + f).orElse("");
        return from + last.map(l -> " until " + l + " inclusive").orElse("");
    }
}
