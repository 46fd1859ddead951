package app.jubek.core.criteria;

import app.jubek.core.text.FoldedText;
import app.jubek.core.text.Phrase;
import app.jubek.core.text.Span;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/** The matched words of one shown message: subject, sender's name and texts as displayed. */
public final class Marks {
    private final FoldedText senderName;
    private final FoldedText subject;
    private final List<FoldedText> texts;

    public Marks(String senderName, String subject, List<String> texts) {
        this.senderName = FoldedText.of(senderName);
        this.subject = FoldedText.of(subject);
        this.texts = texts.stream().map(FoldedText::of).toList();
    }

    /** Marks of all positive tests inside the criterion, whether or not the whole of it holds. */
    public List<Mark> of(Criterion criterion) {
        List<Mark> found = new ArrayList<>();
        collect(criterion, found);
        return merged(found);
    }

    /** Marks that overlap or touch become one. */
    private static List<Mark> merged(List<Mark> marks) {
        List<Mark> sorted = marks.stream()
                .sorted(Comparator.comparing(Mark::place)
                        .thenComparing(Mark::part)
                        .thenComparing(m -> m.span().start()))
                .toList();
        List<Mark> merged = new ArrayList<>();
        for (Mark mark : sorted) {
            Mark last = merged.isEmpty() ? null : merged.get(merged.size() - 1);
            boolean joins = last != null
                    && last.place() == mark.place()
                    && last.part() == mark.part()
                    && mark.span().start() <= last.span().end();
            if (joins) {
                int end = Math.max(last.span().end(), mark.span().end());
                merged.set(
                        merged.size() - 1,
                        new Mark(mark.place(), mark.part(), new Span(last.span().start(), end)));
            } else {
                merged.add(mark);
            }
        }
        return List.copyOf(merged);
    }

    private void collect(Criterion criterion, List<Mark> into) {
        if (criterion instanceof Group group && group.how() != Group.How.NONE) {
            group.criteria().forEach(inner -> collect(inner, into));
        } else if (criterion instanceof TextTest test && !test.negated()) {
            Set<Mark.Place> places = places(test.part());
            test.phrases().forEach(phrase -> collect(phrase, places, into));
        }
    }

    private void collect(Phrase phrase, Set<Mark.Place> places, List<Mark> into) {
        if (places.contains(Mark.Place.SENDER_NAME)) {
            add(senderName, Mark.Place.SENDER_NAME, 0, phrase, into);
        }
        if (places.contains(Mark.Place.SUBJECT)) {
            add(subject, Mark.Place.SUBJECT, 0, phrase, into);
        }
        if (places.contains(Mark.Place.TEXT)) {
            for (int part = 0; part < texts.size(); part++) {
                add(texts.get(part), Mark.Place.TEXT, part, phrase, into);
            }
        }
    }

    private static void add(FoldedText text, Mark.Place place, int part, Phrase phrase, List<Mark> into) {
        text.find(phrase).forEach(span -> into.add(new Mark(place, part, span)));
    }

    private static Set<Mark.Place> places(TextTest.Part part) {
        return switch (part) {
            case SENDER_NAME -> EnumSet.of(Mark.Place.SENDER_NAME);
            case SUBJECT -> EnumSet.of(Mark.Place.SUBJECT);
            case TEXT -> EnumSet.of(Mark.Place.TEXT);
            case SUBJECT_OR_TEXT -> EnumSet.of(Mark.Place.SUBJECT, Mark.Place.TEXT);
        };
    }
}
