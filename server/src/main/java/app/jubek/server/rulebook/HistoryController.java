package app.jubek.server.rulebook;

import app.jubek.core.rule.BookDifference;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.wording.Statement;
import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.server.account.Allowed;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** The versions of a rule book: who saved them when, and what each changed. */
@RestController
class HistoryController {
    private static final int MOST = 30;

    private final RuleBookRepository books;

    HistoryController(RuleBookRepository books) {
        this.books = books;
    }

    record HistoryView(List<VersionView> versions) {}

    /**
     * @param changes from the version before it
     * @param notes what it was saved in spite of
     */
    record VersionView(
            int version,
            Instant savedAt,
            String savedBy,
            List<Statement> changes,
            List<Statement> notes,
            @Schema(ref = "#/components/schemas/RuleBook") JsonNode document) {}

    /** The newest versions first. */
    @GetMapping("/api/mailboxes/{mailbox}/rule-book/history")
    HistoryView history(@Allowed UUID mailbox) {
        List<RuleBookEntity> newest = books.newestFirst(mailbox, Limit.of(MOST + 1));
        List<VersionView> versions = new ArrayList<>();
        for (int i = 0; i < Math.min(newest.size(), MOST); i++) {
            RuleBookEntity entity = newest.get(i);
            RuleBook book = RuleBookJson.read(entity.document());
            RuleBook before =
                    i + 1 < newest.size() ? RuleBookJson.read(newest.get(i + 1).document()) : RuleBook.empty();
            versions.add(new VersionView(
                    entity.version(),
                    entity.savedAt(),
                    entity.savedBy(),
                    BookDifference.between(before, book),
                    entity.notes(),
                    RuleBookJson.write(book)));
        }
        return new HistoryView(versions);
    }
}
