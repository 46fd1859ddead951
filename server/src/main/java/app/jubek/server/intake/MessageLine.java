package app.jubek.server.intake;

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
        Standing standing,
        List<String> notes) {}
