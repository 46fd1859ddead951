package app.jubek.server.intake;

import app.jubek.server.addressbook.AddressBooks;
import app.jubek.server.delivery.AliasTests;
import app.jubek.server.delivery.Outbox;
import app.jubek.server.mailbox.FolderCursors;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.mailbox.SentMail;
import app.jubek.server.platform.InstallationKeys;
import app.jubek.server.rulebook.RuleBooks;
import app.jubek.server.template.Documents;
import app.jubek.server.template.Templates;
import java.time.Clock;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.core.task.TaskExecutor;
import org.springframework.stereotype.Component;

/** What taking a message in needs of the other features. */
@Component
record IntakeParts(
        Mailboxes mailboxes,
        FolderCursors cursors,
        RuleBooks books,
        Templates templates,
        Documents documents,
        AddressBooks people,
        ReplyLedger ledger,
        SentMail sent,
        Outbox outbox,
        AliasTests aliasTests,
        StoredOctets octets,
        Whereabouts whereabouts,
        Decisions decisions,
        SetAside setAside,
        @Qualifier("applicationTaskExecutor") TaskExecutor background,
        InstallationKeys keys,
        Clock clock) {}
