package app.jubek.server.records;

import app.jubek.core.address.MailAddress;
import app.jubek.server.account.MailboxAccess;
import app.jubek.server.account.SignedIn;
import app.jubek.server.delivery.AliasTests;
import java.util.List;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Whether mail to an own alias arrives: a real message says. */
@RestController
class AliasTestController {
    private final AliasTests tests;
    private final MailboxAccess access;

    AliasTestController(AliasTests tests, MailboxAccess access) {
        this.tests = tests;
        this.access = access;
    }

    record TestAsked(String address) {}

    @PostMapping("/api/mailboxes/{mailbox}/alias-tests")
    AliasTests.AliasTest send(
            @AuthenticationPrincipal SignedIn who, @PathVariable UUID mailbox, @RequestBody TestAsked asked) {
        access.check(who, mailbox);
        return tests.send(mailbox, MailAddress.of(asked.address()));
    }

    /** The last ones, the newest first. */
    @GetMapping("/api/mailboxes/{mailbox}/alias-tests")
    List<AliasTests.AliasTest> latest(@AuthenticationPrincipal SignedIn who, @PathVariable UUID mailbox) {
        access.check(who, mailbox);
        return tests.latest(mailbox);
    }
}
