package app.jubek.core.criteria;

import app.jubek.core.message.SentBy;
import app.jubek.core.wording.Code;
import app.jubek.core.wording.Statement;
import java.util.Locale;

/** Something that a message is or is not, beyond its texts. */
public sealed interface Trait {
    Statement statement();

    /** Who or what sent it. */
    record Sent(SentBy by) implements Trait {
        @Override
        public Statement statement() {
            return by == SentBy.PERSON ? CriterionPhrase.NOT_AUTOMATIC.with() : CriterionPhrase.SENT_BY.with(by);
        }
    }

    /** How it stands to the mailbox and the people in it. */
    enum Relationship implements Trait, Code {
        CONVERSATION,
        WRITTEN_TO_ME,
        TO_ME_ALONE,
        KNOWN;

        @Override
        public String id() {
            return "TRAIT_" + name();
        }

        @Override
        public Statement statement() {
            return with();
        }
    }

    /** The sender is in a group of the address book. */
    record InGroup(String group) implements Trait {
        public InGroup {
            group = group.strip();
            if (group.isEmpty()) {
                throw new IllegalArgumentException("name the group of the address book");
            }
        }

        @Override
        public Statement statement() {
            return CriterionPhrase.FROM_GROUP.with(group);
        }

        /** As groups are compared. */
        public String key() {
            return group.toLowerCase(Locale.ROOT);
        }
    }
}
