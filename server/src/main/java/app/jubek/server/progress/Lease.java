package app.jubek.server.progress;

import java.util.UUID;

/** The right to advance a mailbox's cursors; a newer lease has a higher fencing token. */
public record Lease(UUID mailbox, UUID holder, long fencingToken) {}
