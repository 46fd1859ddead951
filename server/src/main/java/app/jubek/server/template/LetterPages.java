package app.jubek.server.template;

import app.jubek.core.template.Document;
import app.jubek.core.template.Letter;
import java.util.Base64;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Rich letters as pages to look at: they load nothing, the picture is in them. */
@Component
public class LetterPages {
    private final Documents documents;

    LetterPages(Documents documents) {
        this.documents = documents;
    }

    /** Empty where the letter has plain text alone. */
    public String page(UUID mailbox, Letter letter) {
        if (letter.html().isEmpty()) {
            return "";
        }
        String html = letter.picture()
                .map(picture -> letter.html().replace(Letter.PICTURE, inside(mailbox, picture)))
                .orElse(letter.html());
        return "<!doctype html><meta charset=\"utf-8\"><base target=\"_blank\"><body style=\"font:15px/1.5 sans-serif;"
                + "margin:12px;color:#1F2D2A;background:#FEFFFE\">" + html + "</body>";
    }

    private String inside(UUID mailbox, Document picture) {
        byte[] bytes = documents.bytes(mailbox, picture.id()).all();
        return "data:" + picture.mediaType() + ";base64," + Base64.getEncoder().encodeToString(bytes);
    }
}
