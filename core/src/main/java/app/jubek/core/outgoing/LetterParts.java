package app.jubek.core.outgoing;

import app.jubek.core.template.Document;
import app.jubek.core.template.Letter;
import java.util.ArrayList;
import java.util.List;

/** A letter as parts of a message: plain and rich text, the picture the rich text shows, and the documents. */
final class LetterParts {
    private final Letter letter;
    private final DocumentContents bytes;
    private final String seed;

    LetterParts(Letter letter, DocumentContents bytes, String seed) {
        this.letter = letter;
        this.bytes = bytes;
        this.seed = seed;
    }

    /** The words alone. */
    MimePart words() {
        return words(letter.text(), letter.html());
    }

    /** Other words, made from its own. */
    MimePart words(String text, String html) {
        if (html.isEmpty()) {
            return MimePart.plain(text);
        }
        List<MimePart> related = new ArrayList<>(List.of(MimePart.html(html)));
        letter.picture().ifPresent(picture -> related.add(shown(picture)));
        MimePart rich = MimePart.multipart("related", seed, related);
        return MimePart.multipart("alternative", seed, List.of(MimePart.plain(text), rich));
    }

    private MimePart shown(Document picture) {
        String contentId = Letter.PICTURE.substring("cid:".length());
        return MimePart.shown(picture.mediaType(), contentId, bytes.of(picture.id()));
    }

    List<MimePart> documents() {
        return letter.documents().stream()
                .map(d -> MimePart.attached(d.mediaType(), d.fileName(), bytes.of(d.id())))
                .toList();
    }
}
