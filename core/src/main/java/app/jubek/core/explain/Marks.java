package app.jubek.core.explain;

import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Group;
import app.jubek.core.criteria.MessagePart;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.matching.ComparedText;
import app.jubek.core.matching.Comparison;
import app.jubek.core.matching.Value;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/** The matched words of one shown message: subject, sender's name and texts as displayed. */
public final class Marks {
    private static final Comparator<Mark> IN_ORDER = Comparator.comparing(Mark::place)
            .thenComparingInt(Mark::part)
            .thenComparingInt(mark -> mark.span().start());

    private final String senderName;
    private final String subject;
    private final List<String> texts;

    public Marks(String senderName, String subject, List<String> texts) {
        this.senderName = senderName;
        this.subject = subject;
        this.texts = List.copyOf(texts);
    }

    /** Marks of all positive tests of words inside the criterion, whether or not the whole of it holds. */
    public List<Mark> of(Criterion criterion) {
        List<Mark> found = new ArrayList<>();
        positiveTests(criterion).forEach(test -> {
            for (MessagePart atom : test.part().atoms()) {
                collect(atom, test, found);
            }
        });
        return merged(found);
    }

    /** Tests of words that take part in picking, not in sparing. */
    public static Stream<TextCriterion> positiveTests(Criterion criterion) {
        if (criterion instanceof Group group && group.how() != Group.Quantifier.NONE) {
            return group.criteria().stream().flatMap(Marks::positiveTests);
        }
        return criterion instanceof TextCriterion test && !test.negated() ? Stream.of(test) : Stream.empty();
    }

    private void collect(MessagePart atom, TextCriterion test, List<Mark> into) {
        switch (atom.kind()) {
            case SENDER_NAME -> mark(senderName, Mark.Place.SENDER_NAME, 0, test, into);
            case SUBJECT -> mark(subject, Mark.Place.SUBJECT, 0, test, into);
            case BARE_SUBJECT -> mark(app.jubek.core.message.Subjects.bare(subject), Mark.Place.SUBJECT, 0, test, into);
            case TEXT, ADDED_TEXT -> {
                for (int part = 0; part < texts.size(); part++) {
                    String text = texts.get(part);
                    boolean whole = atom.kind() == MessagePart.Kind.TEXT;
                    mark(whole ? text : app.jubek.core.message.AddedText.of(text), Mark.Place.TEXT, part, test, into);
                }
            }
            default -> {
                // Other parts are not shown with their words marked.
            }
        }
    }

    private static void mark(String text, Mark.Place place, int part, TextCriterion test, List<Mark> into) {
        Comparison comparison = test.comparison();
        ComparedText compared = new ComparedText().load(text, comparison);
        for (Value value : test.values()) {
            value.in(compared, span -> into.add(new Mark(place, part, span)));
        }
    }

    /** Marks that overlap or touch become one. */
    public static List<Mark> merged(List<Mark> marks) {
        if (marks.size() < 2) {
            return List.copyOf(marks);
        }
        List<Mark> sorted = new ArrayList<>(marks);
        sorted.sort(IN_ORDER);
        List<Mark> merged = new ArrayList<>();
        for (Mark mark : sorted) {
            int last = merged.size() - 1;
            if (last >= 0 && merged.get(last).meets(mark)) {
                merged.set(last, merged.get(last).joined(mark));
            } else {
                merged.add(mark);
            }
        }
        return List.copyOf(merged);
    }
}
