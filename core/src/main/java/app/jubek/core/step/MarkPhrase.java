package app.jubek.core.step;

import app.jubek.core.wording.Code;
import app.jubek.core.wording.Phrase;
import app.jubek.core.wording.Statement;
import java.util.Optional;

/** What was done to a mark of a message, as a participle. */
enum MarkPhrase implements Code {
    FLAGGED,
    UNFLAGGED,
    /** The mark. */
    MARKED,
    UNMARKED,
    /** The tag. */
    TAGGED,
    UNTAGGED,
    IMPORTANT;

    /** A keyword that mail programs show as a mark of its own (RFC 8457). */
    private static final String IMPORTANT_KEYWORD = "$Important";

    static Statement added(String mark) {
        return told(mark, FLAGGED, MARKED, TAGGED);
    }

    static Statement removed(String mark) {
        return told(mark, UNFLAGGED, UNMARKED, UNTAGGED);
    }

    private static Statement told(String mark, MarkPhrase flag, MarkPhrase system, MarkPhrase tag) {
        Optional<Flag> known = Flag.of(mark);
        if (known.isPresent()) {
            return known.get() == Flag.FLAGGED ? flag.with() : system.with(known.get());
        }
        return mark.equalsIgnoreCase(IMPORTANT_KEYWORD) ? system.with(IMPORTANT) : tag.with(Phrase.quoted(mark));
    }
}
