package app.jubek.server.intake;

import app.jubek.core.wording.Statement;
import app.jubek.core.wording.Wording;
import app.jubek.server.account.Allowed;
import app.jubek.server.platform.Refused;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Messages that could not be taken in, and what a person can do with them. */
@RestController
class SetAsideController {
    private final SetAside setAside;
    private final SecondAttempts secondAttempts;
    private final Wording wording;

    SetAsideController(SetAside setAside, SecondAttempts secondAttempts, Wording wording) {
        this.wording = wording;
        this.setAside = setAside;
        this.secondAttempts = secondAttempts;
    }

    /**
     * @param cause why no rule looked at it
     * @param mayTryAgain whether enough of it is kept for that
     */
    record SetAsideView(MessageLine message, Statement cause, boolean mayTryAgain) {}

    /** Those that nobody has dealt with, the latest first. */
    @GetMapping("/api/mailboxes/{mailbox}/set-aside")
    List<SetAsideView> all(@Allowed UUID mailbox) {
        return setAside.open(mailbox).stream()
                .map(message ->
                        new SetAsideView(Messages.line(message), message.asideCause(), setAside.isWhole(message)))
                .toList();
    }

    /** Rules look at it now, as if it had just come in. */
    @PostMapping("/api/mailboxes/{mailbox}/set-aside/{id}/try-again")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void tryAgain(@Allowed UUID mailbox, @PathVariable long id) {
        setAside.checkWhole(setAside.find(mailbox, id));
        if (!secondAttempts.tryAgain(mailbox, id)) {
            throw Refused.conflict(
                    "It can't be taken in now either: "
                            + wording.of(setAside.find(mailbox, id).asideCause())
                            + ". Deal with it in your mail program, then close it here.",
                    Map.of());
        }
    }

    /** A person has dealt with it. */
    @PostMapping("/api/mailboxes/{mailbox}/set-aside/{id}/close")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void close(@Allowed UUID mailbox, @PathVariable long id) {
        setAside.close(mailbox, id);
    }
}
