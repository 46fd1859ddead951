package app.jubek.core.evidence;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.decide.Silence;
import app.jubek.core.decide.Trace;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.schedule.Opening;

/**
 * A rule book over past mail: what each rule makes of each message, with its schedule as at the message's arrival.
 *
 * @param opening by which schedules go
 */
public record PastRun(RuleBook book, Corpus.View past, Opening opening) {
    /**
     * @param at the message's place in the evidence
     */
    public Trace trace(int at) {
        return Trace.of(book, past.hits(at), Silence.bySchedule(past.message(at).received(), opening));
    }
}
