package app.jubek.server.rulebook;

import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.wording.Statement;
import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.server.account.Allowed;
import app.jubek.server.account.SignedIn;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

@RestController
class RuleBookController {
    private final RuleBooks books;
    private final OtherMailboxes others;
    private final List<BeforeSaving> looks;

    RuleBookController(RuleBooks books, OtherMailboxes others, List<BeforeSaving> looks) {
        this.books = books;
        this.others = others;
        this.looks = looks;
    }

    record RuleBookView(
            int version,
            @Schema(ref = "#/components/schemas/RuleBook") JsonNode document,
            List<ReadBack> readBack,
            Optional<Instant> savedAt,
            Optional<String> savedBy) {}

    /** One rule as a sentence. */
    record ReadBack(String rule, Statement sentence) {}

    /**
     * @param despiteTrials whether trials may differ; recorded with the version
     */
    record RuleBookSaving(
            int baseVersion,
            @Schema(ref = "#/components/schemas/RuleBook") JsonNode document,
            Optional<Boolean> despiteTrials) {}

    @GetMapping("/api/mailboxes/{mailbox}/rule-book")
    RuleBookView current(@Allowed UUID mailbox) {
        return view(books.current(mailbox));
    }

    @PutMapping("/api/mailboxes/{mailbox}/rule-book")
    RuleBookView save(
            @AuthenticationPrincipal SignedIn who, @Allowed UUID mailbox, @RequestBody RuleBookSaving saving) {
        RuleBook wanted = RuleBookJson.read(saving.document());
        RuleBook before = books.current(mailbox).book();
        others.check(who, mailbox, before, wanted);
        BeforeSaving.Saving looked = new BeforeSaving.Saving(
                mailbox, before, wanted, saving.despiteTrials().orElse(false));
        List<Statement> notes =
                looks.stream().flatMap(look -> look.check(looked).stream()).toList();
        return view(books.save(mailbox, saving.baseVersion(), wanted, who.shownName(), notes));
    }

    private static RuleBookView view(RuleBooks.Versioned found) {
        List<ReadBack> sentences = found.book().rules().stream()
                .map((Rule rule) -> new ReadBack(rule.id().value(), rule.statement()))
                .toList();
        return new RuleBookView(
                found.version(), RuleBookJson.write(found.book()), sentences, found.savedAt(), found.savedBy());
    }
}
