package app.jubek.core;

import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;

/**
 * What a hostile sender may write where a grammar expects something else: each sign of a grammar nested, repeated, not
 * closed, and after a long run of ordinary letters, as long as one likes.
 */
public final class Hostile {
    /** Signs of addresses (RFC 5322 §3.4, §4.4; RFC 6854). */
    public static final List<String> ADDRESSES = List.of(
            "(", "\"", "<", "a@b,", "g:a@b,", "g:;", "@a,", "\\", "[", ",", "=?utf-8?q?a?= <a@b>,", "\"a\" ", ".", "@");

    /** Signs of encoded words (RFC 2047 §2, RFC 2231 §5). */
    public static final List<String> WORDS =
            List.of("=?", "=?a?q?", "=?utf-8?q?a?=", "=?utf-8?q?a?= ", "=?utf-8?b?YQ==?=", "?=", "=?a*en?q?=?=");

    /** Signs of parameters (RFC 2045 §5.1, RFC 2231 §3 and §4). */
    public static final List<String> PARAMETERS = List.of(
            ";a=b",
            ";filename*1*=",
            ";filename*0*=a''%41",
            ";filename*",
            ";a=\"",
            ";",
            "(",
            "\\",
            "%",
            "'",
            "=",
            ";name=\"\\\"");

    /** Signs of structured fields (RFC 5322 §3.2, RFC 3834 §5, RFC 8601 §2.2). */
    public static final List<String> STRUCTURED =
            List.of("(", "()", "\"", "\"\"", "\\", "\\(", "; dkim=pass", ";", "/", "=", "(\\", ": h=", " ");

    /** Signs of message identifiers (RFC 5322 §3.6.4). */
    public static final List<String> IDS = List.of("<", "<a>", "<a", ">", "<a@b> ", "<<a>>");

    /** Beginnings of subjects (common practice), and marks that have an order of their own (UAX #15). */
    public static final List<String> SUBJECTS =
            List.of("re:", "Re[2]: ", "fwd ", "re(", "re^1", " ", "\u0301\u0316", "a\u0345", "\u202e");

    /** Lines of text, quoted and signed. */
    public static final List<String> TEXTS = List.of(
            "> ",
            "-- \n",
            "--\n",
            "On a wrote:\n",
            "on ",
            "wrote:",
            "a writes:\n",
            "-",
            "aaaa ",
            "\u0301\u0316",
            "\uFB01",
            ".",
            "a@b.");

    /** Markup. */
    public static final List<String> MARKUP = List.of(
            "<b>",
            "<div>",
            "<table><tr><td>",
            "<a href=x>",
            "<!--",
            "<",
            "&",
            "&#x",
            "<p style='display: none ",
            "<script>",
            "<font color=a><b><i>",
            "<p style=\"display:  ",
            "</b>",
            "<select><option>",
            "<svg>",
            "<template>");

    private static final int ROUNDS = 5;
    private static final int MOST_RATIO = 15;
    private static final long MOST_MILLIS = 2_000;

    /** A megabyte in less is quick enough, and a ratio would say more about caches than about the scanner. */
    private static final long NOISE_NANOS = 50_000_000;

    private static final ThreadMXBean THREADS = ManagementFactory.getThreadMXBean();

    private Hostile() {}

    /** All forms of some signs, of about a length. */
    public static Map<String, String> forms(List<String> signs, int length) {
        Map<String, String> forms = new LinkedHashMap<>();
        for (String sign : signs) {
            int times = length / sign.length();
            forms.put("repeated " + sign, sign.repeat(times));
            forms.put("not closed " + sign, sign + "a".repeat(length - sign.length()));
            forms.put("at the end " + sign, "a".repeat(length - sign.length()) + sign);
            forms.put("after spaces " + sign, (sign + " ".repeat(9)).repeat(Math.max(1, length / (sign.length() + 9))));
            forms.put("nested " + sign, sign.repeat(times / 2) + closing(sign).repeat(times / 2));
        }
        return forms;
    }

    private static String closing(String sign) {
        return switch (sign) {
            case "(" -> ")";
            case "<" -> ">";
            case "[" -> "]";
            case "=?" -> "?=";
            case "<b>", "<div>" -> sign.replace("<", "</");
            default -> "a";
        };
    }

    /** What of some signs takes a scanner too long, measured twice, as a pause of the machine is no fault of the scanner. */
    public static List<String> slow(List<String> signs, Consumer<String> scanner) {
        Map<String, String> small = forms(signs, 100_000);
        Map<String, String> large = forms(signs, 1_000_000);
        List<String> slow = new ArrayList<>();
        small.forEach((form, text) -> {
            String tenfold = large.get(form);
            long many = once(tenfold, scanner);
            boolean quick = many < NOISE_NANOS || many <= MOST_RATIO * once(text, scanner);
            if (!quick && isSlow(text, tenfold, scanner) && isSlow(text, tenfold, scanner)) {
                slow.add(form.substring(0, Math.min(form.length(), 40)));
            }
        });
        return slow;
    }

    private static boolean isSlow(String text, String tenfold, Consumer<String> scanner) {
        long many = quickest(tenfold, scanner);
        return many > MOST_MILLIS * 1_000_000 || many > NOISE_NANOS && many > MOST_RATIO * quickest(text, scanner);
    }

    private static long once(String text, Consumer<String> scanner) {
        long began = THREADS.getCurrentThreadCpuTime();
        scanner.accept(text);
        return THREADS.getCurrentThreadCpuTime() - began;
    }

    /** Of several rounds: whatever else the machine does only adds to what the scanner takes. */
    private static long quickest(String text, Consumer<String> scanner) {
        long quickest = once(text, scanner);
        for (int round = 1; round < ROUNDS; round++) {
            quickest = Math.min(quickest, once(text, scanner));
        }
        return quickest;
    }
}
