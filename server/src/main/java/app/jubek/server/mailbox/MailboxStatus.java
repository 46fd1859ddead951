package app.jubek.server.mailbox;

import java.time.Instant;
import java.util.Optional;

/**
 * @param detail the cause in plain words; empty when all is well
 * @param lastContact when the server was last heard of
 */
public record MailboxStatus(
        Watching watching, String detail, Optional<Instant> lastContact, Optional<Instant> lastMessageAt) {}
