package app.jubek.core.outgoing;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.Role;
import app.jubek.core.template.RichText;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** The original of a forward as text below a note: its main fields, then what it says (common practice). */
final class InlineOriginal {
    private static final String LINE = "\r\n";
    private static final String HEAD = "---------- original message ----------";

    private final ReadMessage message;

    InlineOriginal(ReadMessage message) {
        this.message = message;
    }

    String text(String note) {
        String above = note.isBlank() ? "" : note.strip() + LINE + LINE;
        String fields = fields().entrySet().stream()
                .map(field -> field.getKey() + ": " + field.getValue() + LINE)
                .collect(Collectors.joining());
        return above + HEAD + LINE + fields + LINE + String.join(LINE + LINE, message.texts());
    }

    /**
     * @param note rich, or empty
     * @return empty where neither the note nor the original is rich
     */
    String html(String note, String plainNote) {
        if (note.isEmpty() && message.html().isEmpty()) {
            return "";
        }
        String above = note.isEmpty() && !plainNote.isBlank() ? RichText.of(plainNote) : note;
        String fields = fields().entrySet().stream()
                .map(field -> field.getKey() + ": " + field.getValue())
                .collect(Collectors.joining("\n"));
        String body = message.html()
                .map(RichText::withoutActions)
                .orElseGet(() -> RichText.of(String.join("\n\n", message.texts())));
        return above + "<hr>" + RichText.of(HEAD + "\n" + fields) + body;
    }

    private Map<String, String> fields() {
        Map<String, String> fields = new LinkedHashMap<>();
        addresses(fields, "From", message.in(Role.FROM));
        message.values("Date").stream().findFirst().ifPresent(date -> fields.put("Date", HeaderBlock.clean(date)));
        fields.put("Subject", HeaderBlock.clean(message.subject()));
        addresses(fields, "To", message.in(Role.TO));
        addresses(fields, "Cc", message.in(Role.CC));
        return fields;
    }

    private static void addresses(Map<String, String> fields, String name, List<MailAddress> addresses) {
        if (!addresses.isEmpty()) {
            String all = addresses.stream().map(MailAddress::inFull).collect(Collectors.joining(", "));
            fields.put(name, HeaderBlock.clean(all));
        }
    }
}
