package app.jubek.server.mailbox;

import app.jubek.core.address.MailAddress;
import app.jubek.core.people.OwnSide;
import app.jubek.core.safety.Limits;
import app.jubek.core.schedule.Opening;
import java.time.ZoneId;
import java.util.List;
import java.util.UUID;

/** The visits desk's mailbox for units that never open it. */
public final class SampleMailbox {
    public static final MailAddress VISITS = MailAddress.of("visits@ostrel-gardens.example");

    private SampleMailbox() {}

    public static Mailbox of(UUID id) {
        OwnSide own = new OwnSide(VISITS, List.of(), List.of("ostrel-gardens.example"));
        MailServer server = new MailServer("mail.ostrel-gardens.example", 1);
        return new Mailbox(id, own, Opening.usual(ZoneId.of("UTC")), server, server, "u", Limits.PRESET);
    }
}
