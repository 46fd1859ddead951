package app.jubek.core.criteria;

import app.jubek.core.message.SentBy;
import java.util.Locale;

/** Something that a message is or is not, beyond its texts. */
public sealed interface Trait {
    String inWords();

    /** Who or what sent it. */
    record Sent(SentBy by) implements Trait {
        @Override
        public String inWords() {
            return "sent by " + by.words();
        }
    }

    /** How it stands to the mailbox and the people in it. */
    enum Standing implements Trait {
        CONVERSATION("part of a conversation we are in"),
        WRITTEN_TO_ME("written to me"),
        TO_ME_ALONE("written to me alone"),
        KNOWN("from a known person");

        private final String words;

        Standing(String words) {
            this.words = words;
        }

        @Override
        public String inWords() {
            return words;
        }
    }

    /** The writer is in a group of the address book. */
    record InGroup(String group) implements Trait {
        public InGroup {
            group = group.strip();
            if (group.isEmpty()) {
                throw new IllegalArgumentException("name the group of the address book");
            }
        }

        @Override
        public String inWords() {
            return "from somebody in the group " + group;
        }

        /** As groups are compared. */
        public String key() {
            return group.toLowerCase(Locale.ROOT);
        }
    }
}
