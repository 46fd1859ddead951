package app.jubek.server.evidence;

import app.jubek.core.rehearse.Counter;
import app.jubek.core.text.Span;
import app.jubek.server.delivery.Work;
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
     * @param own by the rule in hand
     */
    record Fate(String rule, boolean own, Work kind, String words) {}
}
