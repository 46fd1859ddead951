package app.jubek.core.message;

import app.jubek.core.wording.Code;

/** What could not be read of a message, or is odd about it. */
public enum ReadingNote implements Code {
    /** Each of the next nine reached a limit: which. */
    ENCODED_WORDS_LEFT,
    PARAMETERS_LEFT,
    NESTED_TOO_DEEP,
    TEXT_CUT,
    PARTS_LEFT,
    FIELD_CUT,
    /** KiB and fields. */
    HEADER_TOO_LONG,
    ADDRESSES_LEFT,
    /** A field's name. */
    NO_ADDRESSES,
    /** Why, in the words of the reader. */
    READ_IN_PART,
    NO_DATE,
    /** The name of the charset. */
    CHARSET_UNKNOWN,
    ONLY_HEADER_READ,
    NO_MESSAGE_ID,
    MESSAGE_ID_TWICE,
    /** The cause. */
    SET_ASIDE;

    @Override
    public String id() {
        return "NOTE_" + name();
    }
}
