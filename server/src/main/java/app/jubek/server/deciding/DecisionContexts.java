package app.jubek.server.deciding;

import app.jubek.core.decide.DecisionContext;
import app.jubek.core.people.AddressBook;
import app.jubek.core.people.Agreements;
import app.jubek.core.safety.HopMark;
import app.jubek.core.safety.ReplyHistory;
import app.jubek.core.view.MessageContext;
import app.jubek.server.agreement.StoredAgreements;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.platform.InstallationKeys;
import app.jubek.server.rulebook.RuleBooks;
import app.jubek.server.template.Templates;
import java.time.Instant;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Puts together what a decision needs beside its message. */
@Component
public class DecisionContexts {
    private final RuleBooks books;
    private final Templates templates;
    private final StoredAgreements agreements;
    private final InstallationKeys keys;

    DecisionContexts(RuleBooks books, Templates templates, StoredAgreements agreements, InstallationKeys keys) {
        this.books = books;
        this.templates = templates;
        this.agreements = agreements;
        this.keys = keys;
    }

    /**
     * For a message that came in.
     *
     * @param history the replies that its sender has had
     */
    public DecisionContext ofArrival(Mailbox mailbox, MessageContext message, ReplyHistory history) {
        return new DecisionContext(
                message,
                mailbox.opening(),
                history,
                hops(),
                books.onSince(mailbox.id()),
                templates.of(mailbox.id()),
                agreements.of(mailbox.id()));
    }

    /** For saying what today's rules would do: nobody was answered yet, and every rule was always on. */
    public DecisionContext ofRehearsal(Mailbox mailbox, MessageContext message) {
        return rehearsal(mailbox, message, agreements.of(mailbox.id()));
    }

    /** The same over past mail, each message of which brings its own context. */
    public DecisionContext ofRehearsal(Mailbox mailbox, Instant now) {
        return rehearsal(mailbox, mailbox.contextOfInbox(AddressBook.empty(), now), agreements.of(mailbox.id()));
    }

    /** The same, with everybody outside having agreed. */
    public DecisionContext withEverybodyAgreed(Mailbox mailbox, MessageContext message) {
        return rehearsal(mailbox, message, new Agreements.Everybody());
    }

    private DecisionContext rehearsal(Mailbox mailbox, MessageContext message, Agreements said) {
        return new DecisionContext(
                message, mailbox.opening(), ReplyHistory.empty(), hops(), Map.of(), templates.of(mailbox.id()), said);
    }

    public HopMark hops() {
        return new HopMark(keys.key("hop-mark"));
    }
}
