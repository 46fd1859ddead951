package app.jubek.core;

import app.jubek.core.address.MailAddress;
import app.jubek.core.corpus.PastMessage;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.people.AddressBook;
import app.jubek.core.people.OwnSide;
import app.jubek.core.view.MessageContext;
import app.jubek.core.view.MessageView;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The open mail as past mail of a mailbox; which list a message came by is known and can be hidden. */
public final class OpenPast {
    public static final OwnSide OWN = new OwnSide(
            MailAddress.of("me@example.com"), List.of(MailAddress.of("me@example.com")), List.of("example.com"));

    private static final Pattern LIST_ID = Pattern.compile("(?mi)^List-Id:[^\\r\\n]*(?:\\r\\n[ \\t][^\\r\\n]*)*\\r\\n");
    private static final Pattern ID = Pattern.compile("<([^<>]+)>");

    private OpenPast() {}

    /**
     * @param listId empty when it came by none
     */
    public record Labelled(PastMessage message, String listId) {}

    /** All of it in the order of arrival, without the field that names the list. */
    public static List<Labelled> withoutListIds() {
        List<Labelled> all = new ArrayList<>();
        long id = 0;
        for (Path file : OpenMail.files()) {
            String raw = new String(OpenMail.bytes(file), StandardCharsets.ISO_8859_1);
            int body = raw.indexOf("\r\n\r\n") + 2;
            String header = raw.substring(0, Math.max(body, 0));
            Matcher listId = LIST_ID.matcher(header);
            String label = listId.find() ? label(listId.group()) : "";
            String hidden = listId.replaceAll("") + raw.substring(header.length());
            ReadMessage message = Mails.read(hidden.getBytes(StandardCharsets.ISO_8859_1));
            Instant received = message.receivedByItself().orElse(Instant.EPOCH);
            all.add(new Labelled(past(id++, received, message), label));
        }
        all.sort(Comparator.comparing(labelled -> labelled.message().received()));
        return all;
    }

    /** A message as it stands in that mailbox. */
    public static PastMessage past(long id, Instant received, ReadMessage message) {
        MessageContext context = new MessageContext(
                OWN, AddressBook.empty(), received, received, ZoneOffset.UTC, false, "me@example.com", "INBOX", false);
        return new PastMessage(id, received, new MessageView(message, context));
    }

    private static String label(String field) {
        Matcher inside = ID.matcher(field);
        return inside.find() ? inside.group(1).strip() : field.strip();
    }
}
