package app.jubek.core.compiled;

import app.jubek.core.criteria.MessagePart;
import app.jubek.core.explain.Mark;
import app.jubek.core.matching.ComparedText;
import app.jubek.core.matching.Span;
import app.jubek.core.text.Limits;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** Which terms hit one message, and where their words stand in it as displayed. */
public final class FoundTerms {
    private static final int WIDTH = 5;

    private final BitSet hits;
    private final BitSet broken = new BitSet(0);
    private final Set<List<Object>> looks = new HashSet<>(0);

    /** Five numbers a place: term, where on the screen, which text, start, end. */
    private int[] places = new int[32 * WIDTH];

    private int size;

    FoundTerms(int terms) {
        hits = new BitSet(terms);
    }

    void hit(int term) {
        hits.set(term);
    }

    void broke(int term) {
        broken.set(term);
    }

    void place(int term, MessagePart atom, int part, ComparedText text, int start, int end) {
        if (isShown(atom)) {
            place(term, atom, part, text.span(start, end));
        }
    }

    void place(int term, MessagePart atom, int part, Span span) {
        if (!isShown(atom) || size >= Limits.standard().places() * WIDTH) {
            return;
        }
        if (size == places.length) {
            places = Arrays.copyOf(places, places.length * 2);
        }
        places[size++] = term;
        places[size++] = place(atom).ordinal();
        places[size++] = part;
        places[size++] = span.start();
        places[size++] = span.end();
    }

    /** Whether a term is looked at for the first time in one text. */
    boolean isFirstLook(int term, MessagePart atom, int part) {
        return looks.add(List.of(term, atom, part));
    }

    private static boolean isShown(MessagePart atom) {
        return switch (atom.kind()) {
            case SENDER_NAME, SUBJECT, BARE_SUBJECT, TEXT, ADDED_TEXT -> true;
            default -> false;
        };
    }

    private static Mark.Place place(MessagePart atom) {
        return switch (atom.kind()) {
            case SENDER_NAME -> Mark.Place.SENDER_NAME;
            case TEXT, ADDED_TEXT -> Mark.Place.TEXT;
            default -> Mark.Place.SUBJECT;
        };
    }

    public boolean isHit(int term) {
        return hits.get(term);
    }

    /** Whether looking for it failed. */
    public boolean isBroken(int term) {
        return broken.get(term);
    }

    public boolean hasBroken() {
        return !broken.isEmpty();
    }

    /** The next term, from one on, that hit or failed; negative when there is none. */
    public int nextTouched(int from) {
        int hit = hits.nextSetBit(from);
        if (broken.isEmpty()) {
            return hit;
        }
        int failed = broken.nextSetBit(from);
        return hit < 0 || failed >= 0 && failed < hit ? failed : hit;
    }

    /** Whether there are more places than are marked. */
    public boolean isFull() {
        return size >= Limits.standard().places() * WIDTH;
    }

    /** Where the words of some terms stand, each place by itself. */
    public List<Mark> marks(BitSet of) {
        List<Mark> found = new ArrayList<>();
        for (int i = 0; i < size; i += WIDTH) {
            if (of.get(places[i])) {
                Span span = new Span(places[i + 3], places[i + 4]);
                found.add(new Mark(Mark.Place.values()[places[i + 1]], places[i + 2], span));
            }
        }
        return found;
    }
}
