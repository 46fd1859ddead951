package app.jubek.core.recurring;

import java.util.ArrayList;
import java.util.List;

/** Subjects of one pattern: of as many words, most of them the same at the same place. */
final class SubjectGroup {
    private static final double ALIKE = 0.6;

    private final List<String> shown;
    private final String[] keys;
    private final List<Integer> members = new ArrayList<>();

    SubjectGroup(Template first) {
        shown = first.words();
        keys = first.keys().toArray(String[]::new);
    }

    /** Whether a subject fits: the words that stay are at least most of the pattern, and one of them is no slot. */
    boolean fits(Template subject) {
        int same = 0;
        int solid = 0;
        for (int i = 0; i < keys.length; i++) {
            boolean alike = keys[i].equals(subject.keys().get(i));
            same += alike ? 1 : 0;
            solid += alike && !keys[i].equals(Template.SLOT) ? 1 : 0;
        }
        return same >= ALIKE * keys.length && (solid > 0 || same == keys.length);
    }

    void add(Template subject, int member) {
        for (int i = 0; i < keys.length; i++) {
            if (!keys[i].equals(subject.keys().get(i))) {
                keys[i] = Template.SLOT;
            }
        }
        members.add(member);
    }

    List<Integer> members() {
        return members;
    }

    String key() {
        return String.join(" ", keys);
    }

    Kind.Pattern pattern() {
        List<Kind.Piece> pieces = new ArrayList<>();
        StringBuilder run = new StringBuilder();
        for (int i = 0; i < keys.length; i++) {
            if (!keys[i].equals(Template.SLOT)) {
                run.append(run.length() > 0 ? " " : "").append(shown.get(i));
                continue;
            }
            flush(run, pieces);
            boolean afterSlot =
                    !pieces.isEmpty() && pieces.get(pieces.size() - 1).slot();
            if (!afterSlot) {
                pieces.add(new Kind.Piece(SlotName.of(shown.get(i)), true));
            }
        }
        flush(run, pieces);
        return new Kind.Pattern(pieces, members.size());
    }

    private static void flush(StringBuilder run, List<Kind.Piece> pieces) {
        if (run.length() > 0) {
            pieces.add(new Kind.Piece(run.toString(), false));
            run.setLength(0);
        }
    }
}
