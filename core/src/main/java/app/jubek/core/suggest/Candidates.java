package app.jubek.core.suggest;

import app.jubek.core.address.MailAddress;
import app.jubek.core.compiled.FoundTerms;
import app.jubek.core.compiled.TermIndex;
import app.jubek.core.corpus.Corpus;
import app.jubek.core.criteria.TermMatcher;
import app.jubek.core.message.AddedText;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.Role;
import app.jubek.core.people.OwnSide;
import app.jubek.core.recurring.Kind;
import java.util.BitSet;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/** What some messages have that may tell them from others, looked for in the whole window at one go. */
final class Candidates {
    private static final int MOST = 80;
    private static final int PATTERNS = 20;
    private static final int TEXT_CHARS = 3_000;

    private final Corpus.View past;
    private final OwnSide own;
    private final Phrases phrases;

    Candidates(Corpus.View past, OwnSide own) {
        this.past = past;
        this.own = own;
        this.phrases = new Phrases(own);
    }

    private record Key(Where where, String compared) {}

    private static final class Count {
        private final String written;
        private int messages;

        Count(String written) {
            this.written = written;
        }
    }

    List<Candidate> of(List<Integer> places) {
        return of(places, List.of());
    }

    /**
     * @param patterns of the kind that the messages are of: the words that stay the same are candidates too, whole
     */
    List<Candidate> of(List<Integer> places, List<Kind.Pattern> patterns) {
        Map<Key, Count> counts = new LinkedHashMap<>();
        for (int place : places) {
            values(past.message(place).message())
                    .forEach((key, written) -> counts.computeIfAbsent(key, k -> new Count(written)).messages++);
        }
        Map<Key, String> fixed = fixed(patterns);
        fixed.forEach((key, written) -> counts.putIfAbsent(key, new Count(written)));
        List<Key> keys = Stream.concat(
                        fixed.keySet().stream(),
                        Stream.of(Where.values()).flatMap(where -> mostFrequent(where, counts)))
                .distinct()
                .toList();
        return looked(keys.stream()
                .map(key -> new Candidate(key.where(), counts.get(key).written, new BitSet()))
                .toList());
    }

    private Map<Key, String> fixed(List<Kind.Pattern> patterns) {
        Map<Key, String> fixed = new LinkedHashMap<>();
        patterns.stream()
                .limit(PATTERNS)
                .flatMap(pattern -> pattern.pieces().stream())
                .filter(piece -> !piece.slot())
                .forEach(piece -> phrases.whole(piece.words())
                        .forEach((folded, written) -> fixed.putIfAbsent(new Key(Where.SUBJECT, folded), written)));
        return fixed;
    }

    /** The more messages have it, and the longer it is, the likelier it is what they share. */
    private static Stream<Key> mostFrequent(Where where, Map<Key, Count> counts) {
        return counts.keySet().stream()
                .filter(key -> key.where() == where)
                .sorted(Comparator.comparing((Key key) -> -counts.get(key).messages)
                        .thenComparing(key -> -key.compared().length())
                        .thenComparing(Key::compared))
                .limit(MOST);
    }

    private List<Candidate> looked(List<Candidate> candidates) {
        Map<TermMatcher, Candidate> byTerm = new LinkedHashMap<>();
        candidates.forEach(candidate -> byTerm.putIfAbsent(candidate.term(), candidate));
        List<Candidate> numbered = List.copyOf(byTerm.values());
        TermIndex index = TermIndex.of(List.copyOf(byTerm.keySet()));
        for (int at = 0; at < past.size(); at++) {
            FoundTerms findings = index.look(past.message(at).seen());
            for (int hit = findings.nextTouched(0); hit >= 0; hit = findings.nextTouched(hit + 1)) {
                numbered.get(hit).hits().set(at);
            }
        }
        return numbered;
    }

    private Map<Key, String> values(ReadMessage message) {
        Map<Key, String> values = new LinkedHashMap<>();
        message.in(Role.FROM).stream().filter(this::isOfOthers).forEach(from -> {
            values.put(new Key(Where.SENDER, from.key()), from.key());
            if (!own.domains().contains(from.domain())) {
                values.put(new Key(Where.SENDER_DOMAIN, from.domain()), from.domain());
            }
        });
        message.recipients().stream()
                .filter(to -> !to.sameAs(own.identity()) && to.canBeSentTo())
                .map(MailAddress::key)
                .forEach(to -> values.put(new Key(Where.RECIPIENT, to), to));
        phrases.in(message.subject()).forEach((folded, written) -> values.put(new Key(Where.SUBJECT, folded), written));
        message.texts().stream().findFirst().ifPresent(text -> {
            String begin = AddedText.of(text.substring(0, Math.min(text.length(), TEXT_CHARS)));
            phrases.in(begin).forEach((folded, written) -> values.put(new Key(Where.TEXT, folded), written));
        });
        return values;
    }

    /** What is read from a message need not be an address that a criterion can name. */
    private boolean isOfOthers(MailAddress from) {
        return !own.isOwn(from) && from.canBeSentTo();
    }
}
