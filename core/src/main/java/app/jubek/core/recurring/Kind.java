package app.jubek.core.recurring;

import java.time.Instant;
import java.util.List;

/**
 * Mail that keeps coming.
 *
 * @param key the same for the same kind when a few more messages have come
 * @param patterns of its subjects, the most frequent first, with slots where they vary; a list has none
 * @param members places in the list that was grouped, oldest first
 * @param last when the newest came in
 */
public record Kind(String key, Who who, List<Pattern> patterns, List<Integer> members, Instant last) {
    public Kind {
        patterns = List.copyOf(patterns);
        members = List.copyOf(members);
    }

    public int size() {
        return members.size();
    }

    /** Who writes it. */
    public sealed interface Who {
        /** Everything that one list hands out; its key is its List-Id or, where it has none, its address. */
        record MailingList(String list) implements Who {}

        record Address(String address, String name) implements Who {}

        /** Writers at one or a few domains, the most frequent first. */
        record Domains(List<String> domains) implements Who {
            public Domains {
                domains = List.copyOf(domains);
            }
        }

        /** Writers that have no domain in common. */
        record Anybody(int senders) implements Who {}
    }

    /** A pattern of subjects: words that stay and slots. */
    public record Pattern(List<Piece> pieces, int messages) {
        public Pattern {
            pieces = List.copyOf(pieces);
        }
    }

    /**
     * A piece of a pattern.
     *
     * @param words as written in a subject; for a slot what varies, in a word
     */
    public record Piece(String words, boolean slot) {}
}
