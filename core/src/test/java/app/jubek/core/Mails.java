package app.jubek.core;

import app.jubek.core.address.MailAddress;
import app.jubek.core.criteria.InHand;
import app.jubek.core.criteria.Setting;
import app.jubek.core.decide.Surroundings;
import app.jubek.core.message.MessageReading;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.people.AddressBook;
import app.jubek.core.people.OwnSide;
import app.jubek.core.rule.RuleId;
import app.jubek.core.safety.HopMark;
import app.jubek.core.safety.Ledger;
import app.jubek.core.schedule.Opening;
import app.jubek.core.template.Prepared;
import app.jubek.core.template.Template;
import app.jubek.core.text.Limits;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** The vocabulary of the tests: messages, and the surroundings of the visits desk. */
public final class Mails {
    public static final Instant NOW = Instant.parse("2026-03-29T10:00:00Z");
    public static final HopMark HOPS =
            new HopMark("a secret of sixteen or more octets".getBytes(StandardCharsets.UTF_8));
    public static final OwnSide VISITS = new OwnSide(
            MailAddress.of("visits@ostrel-gardens.example").named("Visits desk"),
            List.of(MailAddress.of("photos@ostrel-gardens.example")),
            List.of("ostrel-gardens.example"));

    private Mails() {}

    /** An ordinary message from a person to the visits desk, with further header lines below the usual ones. */
    public static String from(String writer, String subject, String text, String... fields) {
        return "Return-Path: <" + writer + ">\r\nFrom: Anna <" + writer + ">\r\nTo: visits@ostrel-gardens.example\r\n"
                + "Subject: " + subject
                + "\r\nDate: Sun, 29 Mar 2026 09:00:00 +0200\r\nMessage-ID: <one@school.example>\r\n"
                + String.join(
                        "", java.util.Arrays.stream(fields).map(f -> f + "\r\n").toList())
                + "\r\n" + text + "\r\n";
    }

    public static ReadMessage read(String raw) {
        return read(raw.getBytes(StandardCharsets.UTF_8));
    }

    public static ReadMessage read(byte[] raw) {
        return new MessageReading(Limits.standard()).read(raw);
    }

    public static Surroundings at(Instant now, Ledger ledger) {
        return at(now, now, ledger, Map.of());
    }

    public static Surroundings at(Instant now, Instant received, Ledger ledger, Map<RuleId, Instant> onSince) {
        Setting setting = new Setting(
                VISITS,
                AddressBook.empty(),
                now,
                received,
                ZoneId.of("Europe/Stockholm"),
                false,
                "visits@ostrel-gardens.example",
                "INBOX");
        return new Surroundings(
                setting,
                Opening.usual(setting.zone()),
                ledger,
                HOPS,
                onSince,
                Prepared.nothing(),
                new Surroundings.Agreed.Addresses(Set.of()));
    }

    /** As criteria look at it, come in just now. */
    public static InHand inHand(ReadMessage message) {
        return new InHand(message, surroundings().setting());
    }

    public static Surroundings surroundings(Template template) {
        return surroundings(new Prepared(Map.of(template.id(), template), Map.of()), AddressBook.empty());
    }

    public static Surroundings surroundings(Prepared prepared, AddressBook people) {
        Surroundings plain = surroundings();
        Setting setting = plain.setting();
        return new Surroundings(
                new Setting(
                        VISITS,
                        people,
                        NOW,
                        NOW,
                        setting.zone(),
                        setting.conversation(),
                        setting.mailbox(),
                        setting.folder()),
                plain.opening(),
                plain.ledger(),
                plain.hops(),
                plain.onSince(),
                prepared,
                plain.agreed());
    }

    /** The mail server took the message for junk. */
    public static Surroundings inJunk() {
        Surroundings plain = surroundings();
        Setting setting = plain.setting();
        return new Surroundings(
                new Setting(VISITS, setting.people(), NOW, NOW, setting.zone(), false, setting.mailbox(), "Junk", true),
                plain.opening(),
                plain.ledger(),
                plain.hops(),
                plain.onSince(),
                plain.prepared(),
                plain.agreed());
    }

    public static Surroundings surroundings() {
        return at(NOW, Ledger.empty());
    }
}
