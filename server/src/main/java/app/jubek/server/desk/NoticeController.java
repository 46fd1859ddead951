package app.jubek.server.desk;

import app.jubek.server.account.Allowed;
import app.jubek.server.intake.MessageLine;
import app.jubek.server.intake.Messages;
import app.jubek.server.notice.Notices;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What rules tell about, for the page to ask now and then. */
@RestController
class NoticeController {
    private static final int MOST = 20;

    private final Notices notices;
    private final Messages messages;

    NoticeController(Notices notices, Messages messages) {
        this.notices = notices;
        this.messages = messages;
    }

    record NoticeView(long id, String rule, String sound, MessageLine message) {}

    /**
     * @param last the id of the last one, to ask with next time
     */
    record NoticesView(List<NoticeView> notices, long last) {}

    /** Those after one; with none named only the id of the last, so that a page tells nothing old. */
    @GetMapping("/api/mailboxes/{mailbox}/notices")
    NoticesView notices(@Allowed UUID mailbox, @RequestParam(required = false) Optional<Long> after) {
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
