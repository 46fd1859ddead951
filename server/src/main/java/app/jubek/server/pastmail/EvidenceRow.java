package app.jubek.server.pastmail;

import app.jubek.core.evidence.Counter;
import app.jubek.core.matching.Span;
import app.jubek.core.wording.Statement;
import app.jubek.server.step.Work;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * One message of the evidence on one line.
 *
 * @param snippet a piece of the text around matched words, where the subject has none
 * @param fate every step it would get, by which rule
 */
record EvidenceRow(
        long id,
        Instant received,
        Marked sender,
        Marked subject,
        Optional<Marked> snippet,
        Set<Counter> counters,
        List<Fate> fate) {

    record Marked(String text, List<Span> marks) {}

    /**
     * @param own by the edited rule
     * @param notDone why it would not be done; empty when it would
     */
    record Fate(String rule, boolean own, Work kind, Statement done, Optional<Against> notDone) {}

    /**
     * @param held a person could let it go; else it is withheld
     */
    record Against(boolean held, Statement reason) {}
}
