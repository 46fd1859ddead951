package app.jubek.server.pastmail;

import app.jubek.core.corpus.PastMessage;
import app.jubek.core.explain.Mark;
import app.jubek.core.explain.Marks;
import app.jubek.core.matching.Span;
import app.jubek.core.rehearse.Counter;
import app.jubek.core.rehearse.Evidence;
import app.jubek.core.rehearse.MessageResult;
import app.jubek.core.rule.Rule;
import app.jubek.server.queue.Work;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** One page of the evidence's messages, with the words marked. */
final class EvidenceRows {
    private static final int MAX_LIMIT = 1_000;
    private static final int BEFORE = 14;
    private static final int AFTER = 90;

    private EvidenceRows() {}

    record Page(Counter counter, int offset, int limit) {}

    static List<EvidenceRow> of(Evidence evidence, Rule edited, Page page) {
        List<MessageResult> shown = evidence.results().stream()
                .filter(s -> s.counters().contains(page.counter()))
                .skip(Math.max(page.offset(), 0))
                .limit(Math.min(Math.max(page.limit(), 1), MAX_LIMIT))
                .toList();
        return shown.stream().map(s -> row(s, evidence.takenBy(s), edited)).toList();
    }

    private static EvidenceRow row(MessageResult result, List<Rule> takenBy, Rule edited) {
        PastMessage message = result.message();
        List<String> texts = message.message().texts();
        Marks marks = new Marks(message.senderShown(), message.subject(), texts);
        boolean excluded = result.counters().contains(Counter.LEFT_OUT);
        List<Mark> found = Stream.concat(
                        marks.of(edited.picksOut()).stream(),
                        excluded ? marks.of(edited.leavesOut()).stream() : Stream.empty())
                .toList();
        List<Span> inSubject = spans(found, Mark.Place.SUBJECT);
        Optional<EvidenceRow.Marked> snippet = inSubject.isEmpty()
                ? found.stream()
                        .filter(m -> m.place() == Mark.Place.TEXT)
                        .findFirst()
                        .map(m -> snippet(texts.get(m.part()), m.span()))
                : Optional.empty();
        return new EvidenceRow(
                message.id(),
                message.received(),
                new EvidenceRow.Marked(message.senderShown(), spans(found, Mark.Place.SENDER_NAME)),
                new EvidenceRow.Marked(message.subject(), inSubject),
                snippet,
                result.counters(),
                takenBy.stream().flatMap(r -> fate(r, edited)).toList());
    }

    private static Stream<EvidenceRow.Fate> fate(Rule rule, Rule edited) {
        boolean own = rule.id().equals(edited.id());
        return rule.steps().stream()
                .map(step -> new EvidenceRow.Fate(
                        rule.name(), own, Work.valueOf(step.kind().name()), step.statement()));
    }

    private static List<Span> spans(List<Mark> marks, Mark.Place place) {
        return marks.stream().filter(m -> m.place() == place).map(Mark::span).toList();
    }

    private static EvidenceRow.Marked snippet(String text, Span span) {
        int from = wordStart(text, Math.max(0, span.start() - BEFORE));
        int to = Math.min(text.length(), span.end() + AFTER);
        String piece =
                text.substring(from, to).replace('\r', ' ').replace('\n', ' ').replace('\t', ' ');
        return new EvidenceRow.Marked(piece, List.of(new Span(span.start() - from, span.end() - from)));
    }

    private static int wordStart(String text, int from) {
        int at = from;
        while (at > 0 && from - at <= BEFORE && !Character.isWhitespace(text.charAt(at - 1))) {
            at--;
        }
        return from - at > BEFORE ? from : at;
    }
}
