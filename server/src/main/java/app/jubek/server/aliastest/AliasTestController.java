package app.jubek.server.aliastest;

import app.jubek.core.address.MailAddress;
import app.jubek.server.account.Allowed;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Whether mail to an own alias arrives: a real message says. */
@RestController
class AliasTestController {
    private final AliasTests tests;

    AliasTestController(AliasTests tests) {
        this.tests = tests;
    }

    record TestAsked(String address) {}

    @PostMapping("/api/mailboxes/{mailbox}/alias-tests")
    AliasTests.AliasTest send(@Allowed UUID mailbox, @RequestBody TestAsked asked) {
        return tests.send(mailbox, MailAddress.of(asked.address()));
    }

    /** The last ones, the newest first. */
    @GetMapping("/api/mailboxes/{mailbox}/alias-tests")
    List<AliasTests.AliasTest> latest(@Allowed UUID mailbox) {
        return tests.latest(mailbox);
    }
}
