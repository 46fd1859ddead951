package app.jubek.server.intake;

import app.jubek.server.account.MailboxAccess;
import app.jubek.server.account.SignedIn;
import app.jubek.server.platform.Refused;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Messages that could not be taken in, and what a person can do with them. */
@RestController
class SetAsideController {
    private final SetAside setAside;
    private final Intake intake;
    private final MailboxAccess access;

    SetAsideController(SetAside setAside, Intake intake, MailboxAccess access) {
        this.setAside = setAside;
        this.intake = intake;
        this.access = access;
    }

    /**
     * @param cause why no rule looked at it, as a clause
     * @param mayTryAgain whether enough of it is kept for that
     */
    record SetAsideView(MessageLine message, String cause, boolean mayTryAgain) {}

    /** Those that nobody has dealt with, the latest first. */
    @GetMapping("/api/mailboxes/{mailbox}/set-aside")
    List<SetAsideView> all(@AuthenticationPrincipal SignedIn who, @PathVariable UUID mailbox) {
        access.check(who, mailbox);
        return setAside.open(mailbox).stream()
                .map(message -> new SetAsideView(
                        Messages.line(message), message.asideCause().orElse(""), setAside.isWhole(message)))
                .toList();
    }

    /** Rules look at it now, as if it had just come in. */
    @PostMapping("/api/mailboxes/{mailbox}/set-aside/{id}/try-again")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void tryAgain(@AuthenticationPrincipal SignedIn who, @PathVariable UUID mailbox, @PathVariable long id) {
        access.check(who, mailbox);
        setAside.checkWhole(setAside.find(mailbox, id));
        if (!intake.tryAgain(mailbox, id)) {
            throw Refused.conflict(
                    "It can't be taken in now either: "
                            + setAside.find(mailbox, id).asideCause().orElse("")
                            + ". Deal with it in your mail program, then close it here.",
                    Map.of());
        }
    }

    /** A person has dealt with it. */
    @PostMapping("/api/mailboxes/{mailbox}/set-aside/{id}/close")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void close(@AuthenticationPrincipal SignedIn who, @PathVariable UUID mailbox, @PathVariable long id) {
        access.check(who, mailbox);
        setAside.close(mailbox, id);
    }
}
