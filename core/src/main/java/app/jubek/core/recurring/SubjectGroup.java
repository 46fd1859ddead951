package app.jubek.core.recurring;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** Subjects of one pattern: of as many words, most of them the same at the same place. */
final class SubjectGroup {
    private static final double ALIKE = 0.6;

    private final List<String> shown;
    private final String[] keys;
    private final List<Integer> members = new ArrayList<>();

    SubjectGroup(SubjectPattern first) {
        shown = first.words();
        keys = first.keys().toArray(String[]::new);
    }

    /** Whether a subject fits: the words that stay are at least most of the pattern, and one of them is no slot. */
    boolean fits(SubjectPattern subject) {
        int same = 0;
        int solid = 0;
        for (int i = 0; i < keys.length; i++) {
            boolean alike = keys[i].equals(subject.keys().get(i));
            same += alike ? 1 : 0;
            solid += alike && !keys[i].equals(SubjectPattern.SLOT) ? 1 : 0;
        }
        return same >= ALIKE * keys.length && (solid > 0 || same == keys.length);
    }

    void add(SubjectPattern subject, int member) {
        for (int i = 0; i < keys.length; i++) {
            if (!keys[i].equals(subject.keys().get(i))) {
                keys[i] = SubjectPattern.SLOT;
            }
        }
        members.add(member);
    }

    List<Integer> members() {
        return members;
    }

    /** The pattern without what varies at its end; the whole where nothing else is left. */
    String beginning() {
        int to = keys.length;
        while (to > 0 && isSlot(to - 1)) {
            to--;
        }
        return String.join(" ", to == 0 ? keys : Arrays.copyOf(keys, to));
    }

    Kind.Pattern pattern() {
        List<Kind.Piece> pieces = new ArrayList<>();
        int from = 0;
        while (from < keys.length) {
            boolean slot = isSlot(from);
            int to = from + 1;
            while (to < keys.length && isSlot(to) == slot) {
                to++;
            }
            List<String> run = shown.subList(from, to);
            pieces.add(new Kind.Piece(slot ? SlotName.of(run) : String.join(" ", run), slot));
            from = to;
        }
        return new Kind.Pattern(pieces, members.size());
    }

    private boolean isSlot(int at) {
        return keys[at].equals(SubjectPattern.SLOT);
    }
}
