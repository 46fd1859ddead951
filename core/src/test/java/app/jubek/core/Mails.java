package app.jubek.core;

import app.jubek.core.address.MailAddress;
import app.jubek.core.decide.DecisionContext;
import app.jubek.core.exchange.MailboxHere;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.outgoing.Composer;
import app.jubek.core.outgoing.DocumentContents;
import app.jubek.core.people.AddressBook;
import app.jubek.core.people.Agreements;
import app.jubek.core.people.OwnSide;
import app.jubek.core.reading.MessageReading;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.safety.HopMark;
import app.jubek.core.safety.ReplyHistory;
import app.jubek.core.schedule.Opening;
import app.jubek.core.template.Prepared;
import app.jubek.core.template.Template;
import app.jubek.core.text.Limits;
import app.jubek.core.view.MessageContext;
import app.jubek.core.view.MessageView;
import app.jubek.core.wording.Statement;
import app.jubek.core.wording.Wording;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The vocabulary of the tests: messages, and the context of the visits desk. */
public final class Mails {
    public static final Instant NOW = Instant.parse("2026-03-29T10:00:00Z");
    public static final HopMark HOPS =
            new HopMark("a secret of sixteen or more bytes".getBytes(StandardCharsets.UTF_8));
    public static final OwnSide VISITS = new OwnSide(
            MailAddress.of("visits@ostrel-gardens.example").named("Visits desk"),
            List.of(MailAddress.of("photos@ostrel-gardens.example")),
            List.of("ostrel-gardens.example"));

    private Mails() {}

    /** An ordinary message from a person to the visits desk, with further header lines below the usual ones. */
    public static String from(String sender, String subject, String text, String... fields) {
        return "Return-Path: <" + sender + ">\r\nFrom: Anna <" + sender + ">\r\nTo: visits@ostrel-gardens.example\r\n"
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

    public static DecisionContext at(Instant now, ReplyHistory history) {
        return at(now, now, history, Map.of());
    }

    public static DecisionContext at(
            Instant now, Instant received, ReplyHistory history, Map<RuleId, Instant> onSince) {
        MessageContext context = new MessageContext(
                VISITS,
                AddressBook.empty(),
                now,
                received,
                ZoneId.of("Europe/Stockholm"),
                false,
                "visits@ostrel-gardens.example",
                "INBOX",
                false);
        return new DecisionContext(
                context, Opening.usual(context.zone()), history, HOPS, onSince, Prepared.nothing(), Agreements.none());
    }

    /** In English. */
    public static String words(Statement statement) {
        return Wording.english().of(statement);
    }

    public static List<String> words(List<Statement> statements) {
        return statements.stream().map(Mails::words).toList();
    }

    /** As criteria look at it, come in just now. */
    public static MessageView view(ReadMessage message) {
        return new MessageView(message, context().context());
    }

    public static DecisionContext context(Template template) {
        return context(new Prepared(Map.of(template.id(), template), Map.of()), AddressBook.empty());
    }

    public static DecisionContext context(Prepared prepared, AddressBook people) {
        DecisionContext plain = context();
        MessageContext context = plain.context();
        return new DecisionContext(
                new MessageContext(
                        VISITS,
                        people,
                        NOW,
                        NOW,
                        context.zone(),
                        context.conversation(),
                        context.mailbox(),
                        context.folder(),
                        false),
                plain.opening(),
                plain.history(),
                plain.hops(),
                plain.onSince(),
                prepared,
                plain.agreements());
    }

    /** The mail server took the message for junk. */
    public static DecisionContext inJunk() {
        return lying("Junk", true, false);
    }

    /** The message answers something the mailbox sent. */
    public static DecisionContext inConversation() {
        return lying("INBOX", false, true);
    }

    private static DecisionContext lying(String folder, boolean junk, boolean conversation) {
        DecisionContext plain = context();
        MessageContext context = plain.context();
        return new DecisionContext(
                new MessageContext(
                        VISITS,
                        context.people(),
                        NOW,
                        NOW,
                        context.zone(),
                        conversation,
                        context.mailbox(),
                        folder,
                        junk),
                plain.opening(),
                plain.history(),
                plain.hops(),
                plain.onSince(),
                plain.prepared(),
                plain.agreements());
    }

    public static DecisionContext context() {
        return at(NOW, ReplyHistory.empty());
    }

    /** A mailbox with its rules, as an exchange is played through with it. */
    public static MailboxHere here(OwnSide own, AddressBook people, RuleBook book) {
        MessageContext context = new MessageContext(
                own, people, NOW, NOW, ZoneOffset.UTC, false, own.identity().address(), "INBOX", false);
        DecisionContext at = DecisionContext.tryingOut(context, Opening.usual(ZoneOffset.UTC), HOPS);
        Composer composer = new Composer(own, HOPS, ZoneOffset.UTC, DocumentContents.none(), Optional.empty());
        return MailboxHere.with(book, at, composer);
    }
}
