package app.jubek.formats.rulebook;

import java.util.List;
import java.util.stream.Collectors;

/** A document that can't be taken, with everything that is wrong with it. */
public final class FormatException extends RuntimeException {
    private final transient List<Fault> faults;

    public FormatException(List<Fault> faults) {
        super(faults.stream().map(Fault::toString).collect(Collectors.joining("; ")));
        this.faults = List.copyOf(faults);
    }

    public List<Fault> faults() {
        return faults;
    }
}
