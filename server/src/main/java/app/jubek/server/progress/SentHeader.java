package app.jubek.server.progress;

import app.jubek.core.text.Pieces;
import app.jubek.server.mailbox.UidCommands;
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import jakarta.mail.MessagingException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;

/**
 * What the header of a sent message says of its place in a conversation (RFC 5322 §3.6.4).
 *
 * @param automatic it says that a machine sent it (RFC 3834 §5)
 */
record SentHeader(String messageId, List<String> references, boolean automatic) {
    private static final String FIELDS = "BODY.PEEK[HEADER.FIELDS (MESSAGE-ID IN-REPLY-TO REFERENCES AUTO-SUBMITTED)]";

    private static final Pattern ID = Pattern.compile("<[^<>\\s]+>");
    private static final Pattern FOLD = Pattern.compile("\r?\n[ \t]+");

    /** The nearest ancestors; of a conversation without end the rest tells nothing more. */
    private static final int ANCESTORS = 40;

    /** By UID; messages without a Message-ID are missing. */
    static Map<Long, SentHeader> of(List<Long> uids, UidCommands commands) throws MessagingException {
        Map<Long, SentHeader> found = new TreeMap<>();
        for (UidCommands.Content content : commands.contents(uids, FIELDS)) {
            SentHeader header = read(new String(content.bytes(), StandardCharsets.ISO_8859_1));
            if (!header.messageId().isEmpty()) {
                found.put(content.uid(), header);
            }
        }
        return found;
    }

    private static SentHeader read(String fields) {
        String messageId = "";
        List<String> references = new ArrayList<>();
        boolean automatic = false;
        for (String line : Pieces.between(FOLD.matcher(fields).replaceAll(" "), '\n')) {
            String name = line.substring(0, Math.max(line.indexOf(':'), 0)).toLowerCase(Locale.ROOT);
            String value = line.substring(line.indexOf(':') + 1).strip();
            switch (name) {
                case "message-id" -> messageId = ids(value).stream().findFirst().orElse("");
                case "in-reply-to", "references" -> references.addAll(ids(value));
                case "auto-submitted" ->
                    automatic = !value.toLowerCase(Locale.ROOT).startsWith("no");
                default -> {}
            }
        }
        List<String> nearest = references.subList(Math.max(references.size() - ANCESTORS, 0), references.size());
        return new SentHeader(messageId, nearest, automatic);
    }

    private static List<String> ids(String value) {
        List<String> found = new ArrayList<>();
        Matcher ids = ID.matcher(value);
        while (ids.find()) {
            found.add(ids.group());
        }
        return found;
    }
}
