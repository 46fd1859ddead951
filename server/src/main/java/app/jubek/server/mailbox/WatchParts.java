package app.jubek.server.mailbox;

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
