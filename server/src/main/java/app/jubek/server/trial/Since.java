package app.jubek.server.trial;

import app.jubek.core.rule.BookDifference;
import app.jubek.core.wording.Statement;
import app.jubek.server.rulebook.RuleBooks;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.function.IntFunction;

/**
 * What was changed in the rules since a trial held last.
 *
 * @param at when they were saved last
 */
record Since(List<Statement> changes, Optional<Instant> at, Optional<String> by) {
    private static final Since NOTHING = new Since(List.of(), Optional.empty(), Optional.empty());

    /**
     * @param versions gives a version of the rules
     */
    static Since itHeld(
            TrialRuns.Tried tried, RuleBooks.Versioned now, IntFunction<Optional<RuleBooks.Versioned>> versions) {
        return tried.holds()
                ? NOTHING
                : tried.kept()
                        .heldWith()
                        .filter(version -> version != now.version())
                        .flatMap(versions::apply)
                        .map(then -> new Since(
                                BookDifference.between(then.book(), now.book()), now.savedAt(), now.savedBy()))
                        .orElse(NOTHING);
    }
}
