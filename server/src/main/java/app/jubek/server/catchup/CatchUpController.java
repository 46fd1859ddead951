package app.jubek.server.catchup;

import app.jubek.core.catchup.Terms;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.server.account.Allowed;
import app.jubek.server.account.SignedIn;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.rulebook.RuleBooks;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Rules carried out on mail that is already there. */
@RestController
class CatchUpController {
    private final CatchUps catchUps;
    private final RuleBooks books;
    private final Mailboxes mailboxes;

    CatchUpController(CatchUps catchUps, RuleBooks books, Mailboxes mailboxes) {
        this.catchUps = catchUps;
        this.books = books;
        this.mailboxes = mailboxes;
    }

    private CatchUpViews.CatchUpView view(CatchUpEntity of) {
        return view(of, books.current(of.mailboxId()).book());
    }

    private CatchUpViews.CatchUpView view(CatchUpEntity of, RuleBook book) {
        return CatchUpViews.view(of, book, catchUps.steps(of));
    }

    /** The newest first. */
    @GetMapping("/api/mailboxes/{mailbox}/catch-ups")
    List<CatchUpViews.CatchUpView> catchUps(@Allowed UUID mailbox) {
        RuleBook book = books.current(mailbox).book();
        return catchUps.newest(mailbox).stream().map(one -> view(one, book)).toList();
    }

    /** Folders with received mail. */
    @GetMapping("/api/mailboxes/{mailbox}/catch-ups/folders")
    List<String> catchUpFolders(@Allowed UUID mailbox) {
        return catchUps.folders(mailbox);
    }

    /**
     * @param folders as rules write them
     * @param days how many it reaches back, today among them; at most 180
     */
    record CatchUpBegun(List<String> rules, List<String> folders, boolean subfolders, int days) {}

    @PostMapping("/api/mailboxes/{mailbox}/catch-ups")
    CatchUpViews.CatchUpView beginCatchUp(
            @Allowed UUID mailbox, @RequestBody CatchUpBegun begun, @AuthenticationPrincipal SignedIn who) {
        List<RuleId> rules = begun.rules().stream().map(RuleId::new).toList();
        return view(catchUps.begin(mailbox, rules, begun.folders(), begun.subfolders(), begun.days(), who.shownName()));
    }

    @GetMapping("/api/mailboxes/{mailbox}/catch-ups/{catchUp}")
    CatchUpViews.CatchUpView catchUp(@Allowed UUID mailbox, @PathVariable UUID catchUp) {
        return view(catchUps.find(mailbox, catchUp));
    }

    /** What it would do by the rules of now. */
    @GetMapping("/api/mailboxes/{mailbox}/catch-ups/{catchUp}/preview")
    CatchUpViews.CatchUpPreview previewCatchUp(
            @Allowed UUID mailbox,
            @PathVariable UUID catchUp,
            @RequestParam(defaultValue = "false") boolean handOvers,
            @RequestParam(defaultValue = "false") boolean replies) {
        CatchUpEntity of = catchUps.find(mailbox, catchUp);
        return CatchUpViews.preview(
                catchUps.preview(of, new Terms(handOvers, replies)),
                mailboxes.find(mailbox).limits());
    }

    /**
     * What was seen in the preview.
     *
     * @param handOvers messages that are handed on; left out to hand on none
     * @param replies replies that are given; left out to reply to nobody
     * @param deletions messages that are deleted for good
     * @param every left out to do it once
     */
    record CatchUpWanted(
            Optional<Integer> handOvers, Optional<Integer> replies, int deletions, Optional<Every> every) {}

    @PostMapping("/api/mailboxes/{mailbox}/catch-ups/{catchUp}/start")
    CatchUpViews.CatchUpView startCatchUp(
            @Allowed UUID mailbox, @PathVariable UUID catchUp, @RequestBody CatchUpWanted wanted) {
        return view(catchUps.start(
                mailbox,
                catchUp,
                new CatchUps.Yes(wanted.handOvers(), wanted.replies(), wanted.deletions(), wanted.every())));
    }

    @PostMapping("/api/mailboxes/{mailbox}/catch-ups/{catchUp}/pause")
    CatchUpViews.CatchUpView pauseCatchUp(@Allowed UUID mailbox, @PathVariable UUID catchUp) {
        return view(catchUps.pause(mailbox, catchUp));
    }

    @PostMapping("/api/mailboxes/{mailbox}/catch-ups/{catchUp}/resume")
    CatchUpViews.CatchUpView resumeCatchUp(@Allowed UUID mailbox, @PathVariable UUID catchUp) {
        return view(catchUps.resume(mailbox, catchUp));
    }

    @PostMapping("/api/mailboxes/{mailbox}/catch-ups/{catchUp}/stop")
    CatchUpViews.CatchUpView stopCatchUp(@Allowed UUID mailbox, @PathVariable UUID catchUp) {
        return view(catchUps.stop(mailbox, catchUp));
    }
}
