package app.jubek.server.digest;

import app.jubek.core.address.MailAddress;
import app.jubek.core.rule.SettingChange;
import app.jubek.server.account.Allowed;
import app.jubek.server.account.SignedIn;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.Refused;
import app.jubek.server.setting.SettingChanges;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Whether a person is told by mail what waits. */
@RestController
class DigestController {
    private final DigestRepository digests;
    private final Mailboxes mailboxes;
    private final SettingChanges changes;

    DigestController(DigestRepository digests, Mailboxes mailboxes, SettingChanges changes) {
        this.digests = digests;
        this.mailboxes = mailboxes;
        this.changes = changes;
    }

    /**
     * @param address where it goes; empty where none is wanted
     */
    record DigestView(Optional<String> address) {}

    record DigestWanted(String address) {}

    @GetMapping("/api/mailboxes/{mailbox}/digest")
    DigestView digest(@Allowed UUID mailbox, @AuthenticationPrincipal SignedIn who) {
        return new DigestView(
                digests.findById(new DigestEntity.Key(who.id(), mailbox)).map(DigestEntity::address));
    }

    /** It names senders and subjects, so it stays inside the organisation. */
    @PutMapping("/api/mailboxes/{mailbox}/digest")
    DigestView wantDigest(
            @Allowed UUID mailbox, @RequestBody DigestWanted wanted, @AuthenticationPrincipal SignedIn who) {
        MailAddress address = MailAddress.of(wanted.address());
        if (!mailboxes.find(mailbox).own().isInside(address)) {
            throw Refused.invalid(
                    address.address() + " lies outside our own domains: what waits is told inside only.", List.of());
        }
        digests.keep(who.id(), mailbox, address.address());
        changes.note(mailbox, who.shownName(), SettingChange.DIGEST_WANTED.with(address.address()));
        return digest(mailbox, who);
    }

    @DeleteMapping("/api/mailboxes/{mailbox}/digest")
    DigestView endDigest(@Allowed UUID mailbox, @AuthenticationPrincipal SignedIn who) {
        digests.drop(who.id(), mailbox);
        changes.note(mailbox, who.shownName(), SettingChange.DIGEST_ENDED.with());
        return digest(mailbox, who);
    }
}
