package app.jubek.server.records;

import app.jubek.core.plan.Reason;
import app.jubek.core.safety.Limits;
import app.jubek.server.account.Allowed;
import app.jubek.server.addressbook.AddressBooks;
import app.jubek.server.pastmail.PastMail;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** How much may leave within an hour, and what that would have held. */
@RestController
class LimitsController {
    private static final int DAYS = 90;

    private final PastMail pastMail;
    private final AddressBooks people;

    LimitsController(PastMail pastMail, AddressBooks people) {
        this.pastMail = pastMail;
        this.people = people;
    }

    /** One limit, and how many messages of the past it would have held. */
    record LimitView(Reason reason, int messages, int held) {}

    /**
     * @param days of past mail
     * @param leaving messages that today's rules would have sent in them
     */
    record LimitsView(int days, int leaving, List<LimitView> limits) {}

    @GetMapping("/api/mailboxes/{mailbox}/limits")
    LimitsView limits(@Allowed UUID mailbox) {
        PastMail.Window window = pastMail.window(mailbox, DAYS);
        Limits limits = window.mailbox().limits();
        List<Limits.Leaving> leaving = window.leaving(people.of(mailbox));
        Map<Reason, Integer> held = limits.held(leaving);
        return new LimitsView(
                DAYS,
                leaving.size(),
                List.of(
                        limit(Reason.HOURLY_LIMIT, limits.mailbox(), held),
                        limit(Reason.RULE_LIMIT, limits.rule(), held),
                        limit(Reason.DESTINATION_LIMIT, limits.destination(), held),
                        limit(Reason.SENDER_LIMIT, limits.sender(), held)));
    }

    private static LimitView limit(Reason reason, int messages, Map<Reason, Integer> held) {
        return new LimitView(reason, messages, held.getOrDefault(reason, 0));
    }
}
