package app.jubek.server.records;

import app.jubek.server.account.MailboxAccess;
import app.jubek.server.account.SignedIn;
import app.jubek.server.delivery.Notices;
import app.jubek.server.intake.MessageLine;
import app.jubek.server.intake.Messages;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What rules tell about, for the page to ask now and then. */
@RestController
class NoticeController {
    private static final int MOST = 20;

    private final Notices notices;
    private final Messages messages;
    private final MailboxAccess access;

    NoticeController(Notices notices, Messages messages, MailboxAccess access) {
        this.notices = notices;
        this.messages = messages;
        this.access = access;
    }

    record NoticeView(long id, String rule, String sound, MessageLine message) {}

    /**
     * @param last the id of the last one, to ask with next time
     */
    record NoticesView(List<NoticeView> notices, long last) {}

    /** Those after one; with none named only the id of the last, so that a page tells nothing old. */
    @GetMapping("/api/mailboxes/{mailbox}/notices")
    NoticesView notices(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID mailbox,
            @RequestParam(required = false) Optional<Long> after) {
        access.check(who, mailbox);
        if (after.isEmpty()) {
            return new NoticesView(List.of(), notices.last(mailbox));
        }
        List<Notices.Notice> fresh = notices.after(mailbox, after.get(), MOST);
        Map<Long, MessageLine> lines = messages.lines(
                mailbox, fresh.stream().map(Notices.Notice::message).toList());
        return new NoticesView(
                fresh.stream()
                        .map(n -> new NoticeView(n.id(), n.rule(), n.sound(), lines.get(n.message())))
                        .toList(),
                fresh.isEmpty() ? after.get() : fresh.get(fresh.size() - 1).id());
    }
}
