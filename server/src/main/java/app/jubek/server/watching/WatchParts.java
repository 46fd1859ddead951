package app.jubek.server.watching;

import app.jubek.server.mailbox.ImapConnections;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.progress.Attempts;
import app.jubek.server.progress.FolderCursors;
import app.jubek.server.progress.SentMail;
import app.jubek.server.progress.WatchLeases;
import org.springframework.stereotype.Component;

/** What every watcher works with. */
@Component
record WatchParts(
        Mailboxes mailboxes,
        ImapConnections connections,
        FolderCursors cursors,
        WatchLeases leases,
        Attempts attempts,
        FirstReading firstReading,
        SentMail sent,
        Arrivals arrivals) {}
