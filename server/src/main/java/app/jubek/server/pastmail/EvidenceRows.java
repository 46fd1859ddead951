package app.jubek.server.pastmail;

import app.jubek.core.corpus.PastMessage;
import app.jubek.core.decide.Decision;
import app.jubek.core.evidence.Counter;
import app.jubek.core.evidence.Evidence;
import app.jubek.core.evidence.MessageResult;
import app.jubek.core.evidence.Rehearsed;
import app.jubek.core.explain.Mark;
import app.jubek.core.explain.Marks;
import app.jubek.core.matching.Span;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.rule.Rule;
import app.jubek.server.step.Work;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** One page of the evidence's messages, with the words marked. */
final class EvidenceRows {
    private static final int MAX_LIMIT = 1_000;
    private static final int BEFORE = 14;
    private static final int AFTER = 90;

    private EvidenceRows() {}

    record Page(Counter counter, int offset, int limit) {}

    static List<EvidenceRow> of(Evidence evidence, Rehearsed rehearsed, Rule edited, Page page) {
        List<MessageResult> listed = evidence.results().stream()
                .filter(s -> s.counters().contains(page.counter()))
                .toList();
        Set<String> shared = sharedNames(listed);
        List<MessageResult> shown = listed.stream()
                .skip(Math.max(page.offset(), 0))
                .limit(Math.min(Math.max(page.limit(), 1), MAX_LIMIT))
                .toList();
        return shown.stream()
                .map(s -> row(s, rehearsed.decision(s), edited, shared))
                .toList();
    }

    private static EvidenceRow row(MessageResult result, Decision decision, Rule edited, Set<String> shared) {
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
                new EvidenceRow.Marked(sender(message, shared), spans(found, Mark.Place.SENDER_NAME)),
                new EvidenceRow.Marked(message.subject(), inSubject),
                snippet,
                result.counters(),
                fate(decision, edited));
    }

    /** A name that several addresses of the list go by is followed by its address. */
    private static String sender(PastMessage message, Set<String> shared) {
        String shown = message.senderShown();
        return message.message()
                .sender()
                .filter(sender -> shared.contains(shown))
                .map(sender -> shown + " <" + sender.address() + ">")
                .orElse(shown);
    }

    private static Set<String> sharedNames(List<MessageResult> listed) {
        Map<String, Set<String>> addresses = new HashMap<>();
        listed.forEach(result -> result.message()
                .message()
                .sender()
                .ifPresent(sender -> addresses
                        .computeIfAbsent(result.message().senderShown(), n -> new HashSet<>())
                        .add(sender.key())));
        return addresses.entrySet().stream()
                .filter(e -> e.getValue().size() > 1)
                .map(Map.Entry::getKey)
                .collect(Collectors.toSet());
    }

    private static List<EvidenceRow.Fate> fate(Decision decision, Rule edited) {
        return Stream.concat(
                        decision.planned().stream().map(step -> fate(step, edited, Optional.empty())),
                        decision.notDone().stream()
                                .map(not -> fate(
                                        not.planned(),
                                        edited,
                                        Optional.of(new EvidenceRow.Against(not.waits(), not.statement())))))
                .toList();
    }

    private static EvidenceRow.Fate fate(PlannedStep step, Rule edited, Optional<EvidenceRow.Against> notDone) {
        boolean own = step.rule().equals(edited.id());
        return new EvidenceRow.Fate(step.ruleName(), own, Work.of(step), step.statement(), notDone);
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
