package app.jubek.server.trial;

import app.jubek.core.rule.BookDifference;
import app.jubek.core.wording.Statement;
import app.jubek.server.rulebook.RuleBooks;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.function.IntFunction;

/**
 * What was changed in the rules right after a trial held last; what was changed later did not make it differ.
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
                        .flatMap(version -> versions.apply(version)
                                .flatMap(held -> versions.apply(version + 1).map(next -> between(held, next))))
                        .orElse(NOTHING);
    }

    private static Since between(RuleBooks.Versioned held, RuleBooks.Versioned next) {
        return new Since(BookDifference.between(held.book(), next.book()), next.savedAt(), next.savedBy());
    }
}
