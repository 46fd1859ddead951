package app.jubek.server.intake;

import app.jubek.core.wording.Statement;
import java.time.Instant;
import java.util.List;

/**
 * A message on one line.
 *
 * @param notes what could not be read of it
 */
public record MessageLine(
        long id,
        Instant received,
        String sender,
        String subject,
        int attachments,
        MessageStatus status,
        List<Statement> notes) {}
