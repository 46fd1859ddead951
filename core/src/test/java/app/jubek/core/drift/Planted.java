package app.jubek.core.drift;

import app.jubek.core.Mails;
import app.jubek.core.OpenMail;
import app.jubek.core.OpenPast;
import app.jubek.core.corpus.Corpus;
import app.jubek.core.corpus.PastMessage;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.recurring.RecurringKinds;
import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.schedule.Opening;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The open mail, each list and each of the other senders spread over ninety days, of which the last thirty can be changed. */
final class Planted {
    static final Instant BEGIN = Instant.parse("2026-01-01T00:00:00Z");
    static final Instant SINCE = BEGIN.plus(Duration.ofDays(60));
    private static final int DAYS = 90;

    private static final Pattern LIST_ID =
            Pattern.compile("(?mi)^List-Id:[^\\r\\n]*?<([^<>]+)>[^\\r\\n]*(?:\\r\\n[ \\t][^\\r\\n]*)*\\r\\n");
    private static final Pattern LIST_ID_FIELD =
            Pattern.compile("(?mi)^List-Id:[^\\r\\n]*(?:\\r\\n[ \\t][^\\r\\n]*)*\\r\\n");

    private Planted() {}

    /** A message with the list it came by, if any; else with who wrote it. */
    record Open(String raw, String list, ReadMessage read) {
        String header() {
            return raw.substring(0, Math.max(0, raw.indexOf("\r\n\r\n")) + 2);
        }

        String address() {
            return read.sender().map(sender -> sender.key()).orElse("");
        }

        /** With its header fields changed. */
        String with(UnaryOperator<String> change) {
            String header = header();
            return change.apply(header) + raw.substring(header.length());
        }
    }

    static List<Open> mail() {
        List<Open> all = new ArrayList<>();
        OpenMail.files().forEach(file -> {
            String raw = new String(OpenMail.bytes(file), StandardCharsets.ISO_8859_1);
            int body = Math.max(0, raw.indexOf("\r\n\r\n")) + 2;
            Matcher listId = LIST_ID.matcher(raw.substring(0, body));
            String list = listId.find() ? listId.group(1).strip() : "";
            String hidden = LIST_ID_FIELD.matcher(raw.substring(0, body)).replaceAll("") + raw.substring(body);
            all.add(new Open(hidden, list, read(hidden)));
        });
        all.sort(Comparator.comparing(open -> open.read().receivedByItself().orElse(Instant.EPOCH)));
        return all;
    }

    static ReadMessage read(String raw) {
        return Mails.read(raw.getBytes(StandardCharsets.ISO_8859_1));
    }

    /** When each message comes in, so that each list and sender keeps its pace from the first day to the last. */
    static Map<Open, Instant> spread(List<Open> all) {
        Map<String, List<Open>> streams = new TreeMap<>();
        all.forEach(open -> streams.computeIfAbsent(
                        open.list().isEmpty() ? open.address() : open.list(), s -> new ArrayList<>())
                .add(open));
        Map<Open, Instant> when = new HashMap<>();
        streams.values().forEach(stream -> {
            for (int i = 0; i < stream.size(); i++) {
                when.put(
                        stream.get(i),
                        BEGIN.plus(
                                Duration.ofDays(DAYS).multipliedBy(2L * i + 1).dividedBy(2L * stream.size())));
            }
        });
        return when;
    }

    static List<Drift> drifts(List<PastMessage> messages, List<Rule> rules) {
        Corpus corpus = new Corpus(1_000, Long.MAX_VALUE);
        messages.forEach(corpus::add);
        Corpus.View view = corpus.since(Instant.MIN);
        List<PastMessage> inOrder = new ArrayList<>();
        for (int at = 0; at < view.size(); at++) {
            inOrder.add(view.message(at));
        }
        return Drifts.of(
                new RuleBook(rules, new Nothing()),
                view,
                SINCE,
                RecurringKinds.of(inOrder, OpenPast.OWN),
                OpenPast.OWN,
                Opening.usual(ZoneOffset.UTC));
    }

    static Rule rule(String name, Criterion picksOut) {
        return new Rule(
                new RuleId("r" + Integer.toHexString(name.hashCode())),
                1,
                name,
                picksOut,
                new Nothing(),
                List.of(),
                Ending.CONTINUE,
                true);
    }
}
