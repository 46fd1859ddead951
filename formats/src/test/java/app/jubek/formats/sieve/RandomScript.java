package app.jubek.formats.sieve;

import app.jubek.formats.sieve.JSieve.SimpleMail;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;

/** Scripts and messages by seed, within what jSieve 0.8 gets right: its known departures from RFC 5228 are kept clear of. */
final class RandomScript {
    private static final List<String> WORDS =
            List.of("visit", "guided visit", "SEEDS", "permit", "a*b", "24 pupils", "price", "no", "x");
    private static final List<String> ADDRESSES = List.of(
            "anna@school.example",
            "Bo <bo@garden.example>",
            "cy@a.garden.example",
            "me@example.com",
            "Di <di+x@school.example>");
    private static final List<String> FIELDS = List.of("subject", "x-kind", "x-score", "from", "x-absent");

    private final Random random;
    private final Map<String, Integer> used = new TreeMap<>();
    private int answers;

    RandomScript(long seed) {
        random = new Random(seed);
    }

    /** How often each test and action was written. */
    Map<String, Integer> used() {
        return used;
    }

    private <T> T any(List<T> of) {
        return of.get(random.nextInt(of.size()));
    }

    private String use(String name) {
        used.merge(name, 1, Integer::sum);
        return name;
    }

    SimpleMail mail() {
        List<String[]> fields = new ArrayList<>();
        add(fields, "From", any(ADDRESSES));
        add(fields, "To", any(ADDRESSES) + ", " + any(ADDRESSES));
        if (random.nextBoolean()) {
            add(fields, "Cc", any(ADDRESSES));
        }
        add(fields, "Subject", any(WORDS) + " " + any(WORDS));
        if (random.nextBoolean()) {
            add(fields, "X-Kind", any(WORDS));
        }
        add(fields, "X-Score", any(List.of("0", "5", "07", "12")));
        return new SimpleMail(
                fields, any(WORDS) + " and " + any(WORDS) + "\r\n" + "y".repeat(random.nextInt(400)) + "\r\n");
    }

    private static void add(List<String[]> fields, String name, String value) {
        fields.add(new String[] {name, value});
    }

    /** One command of a script; a branch has a test and a block. */
    record Line(String head, List<Line> block) {
        String written() {
            return block.isEmpty() && !head.contains("if") && !head.equals("else")
                    ? head + ";\r\n"
                    : head + " {\r\n"
                            + String.join("", block.stream().map(Line::written).toList()) + "}\r\n";
        }
    }

    /** With one answer at most: a second one is an error (RFC 5230 §4.7). */
    List<Line> script() {
        answers = 0;
        return block(3);
    }

    static String written(List<Line> lines) {
        return "require [\"fileinto\", \"vacation\", \"body\"];\r\n"
                + String.join("", lines.stream().map(Line::written).toList());
    }

    private List<Line> block(int depth) {
        List<Line> lines = new ArrayList<>();
        for (int i = random.nextInt(3); i >= 0; i--) {
            if (depth == 0 || random.nextInt(3) == 0) {
                lines.add(new Line(action(), List.of()));
            } else {
                lines.add(new Line("if " + test(2), block(depth - 1)));
                while (random.nextInt(3) == 0) {
                    lines.add(new Line("elsif " + test(1), block(depth - 1)));
                }
                if (random.nextBoolean()) {
                    lines.add(new Line("else", block(depth - 1)));
                }
            }
        }
        if (random.nextInt(8) == 0) {
            lines.add(new Line(use("stop"), List.of()));
        }
        return lines;
    }

    private String action() {
        return switch (random.nextInt(5)) {
            case 0 -> use("keep");
            case 1 -> use("discard");
            case 2 -> use("redirect") + " \"" + any(List.of("a@x.example", "b@x.example")) + "\"";
            case 3 -> use("fileinto") + " \"" + any(List.of("One", "Two.Three", "Four")) + "\"";
            default -> answers++ == 0 ? use("vacation") + " \"Away.\"" : use("keep");
        };
    }

    private String test(int depth) {
        return switch (random.nextInt(depth == 0 ? 8 : 11)) {
            case 0, 1 -> use("header") + how() + list(any(FIELDS), any(FIELDS)) + keys();
            case 2, 3 -> use("address") + piece() + how() + list("from", any(List.of("to", "cc"))) + addressKeys();
            case 4 -> use("exists") + " " + list("from", any(FIELDS));
            case 5 -> use("size") + any(List.of(" :over ", " :under ")) + (200 + random.nextInt(300));
            case 6 -> use("body") + " :contains " + list(any(WORDS), any(WORDS));
            case 7 -> use("true");
            case 8 -> use("not") + " " + test(depth - 1);
            case 9 -> use("allof") + " (" + test(depth - 1) + ", " + test(depth - 1) + ")";
            default -> use("anyof") + " (" + test(depth - 1) + ", " + test(depth - 1) + ", " + use("false") + ")";
        };
    }

    private String how() {
        return any(List.of(
                " :contains ",
                " :is ",
                " :matches ",
                " :comparator \"i;octet\" :contains ",
                " :comparator \"i;octet\" :is "));
    }

    private String piece() {
        return any(List.of(" :all", " :localpart", " :domain", ""));
    }

    private String keys() {
        return " " + list(any(WORDS), any(List.of("*visit*", "g??ded*", "guided visit x", "12", "seeds visit")));
    }

    private String addressKeys() {
        return " "
                + list(
                        any(List.of("anna@school.example", "bo", "school.example")),
                        any(List.of("*.garden.example", "di+x", "example", "me@*")));
    }

    private static String list(String one, String other) {
        return "[\"" + one + "\", \"" + other + "\"]";
    }
}
