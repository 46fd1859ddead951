package app.jubek.server.mailbox;

import java.util.UUID;

/** The right to advance a mailbox's cursors; a newer lease has a higher fence. */
public record Lease(UUID mailbox, UUID holder, long fence) {}
