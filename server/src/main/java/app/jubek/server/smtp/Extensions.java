package app.jubek.server.smtp;

import app.jubek.core.text.WhiteSpace;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.OptionalLong;
import java.util.stream.Stream;

/** What a server said in its answer to EHLO that it can do (RFC 5321 §4.1.1.1), by keyword. */
record Extensions(List<String> lines) {
    static final Extensions NONE = new Extensions(List.of());

    static Extensions of(SmtpReply hello) {
        return new Extensions(
                hello.lines().stream().map(l -> l.toUpperCase(Locale.ROOT)).toList());
    }

    boolean has(String keyword) {
        return parameters(keyword).findAny().isPresent();
    }

    /** Whether there is any way to sign in (RFC 4954). */
    boolean asksForSignIn() {
        return has("AUTH");
    }

    boolean takesPlainSignIn() {
        return parameters("AUTH").anyMatch(words -> words.contains("PLAIN"));
    }

    /** The largest message it takes, in bytes (RFC 1870); empty when it does not say, or knows no limit. */
    OptionalLong largest() {
        return parameters("SIZE")
                .flatMap(List::stream)
                .filter(word ->
                        !word.isEmpty() && word.length() < 19 && word.chars().allMatch(Character::isDigit))
                .mapToLong(Long::parseLong)
                .filter(limit -> limit > 0)
                .findFirst();
    }

    private Stream<List<String>> parameters(String keyword) {
        return lines.stream()
                .map(line -> WhiteSpace.words(line))
                .filter(words -> !words.isEmpty() && words.get(0).equals(keyword))
                .map(words -> words.subList(1, words.size()));
    }

    static boolean isAscii(String text) {
        return StandardCharsets.US_ASCII.newEncoder().canEncode(text);
    }
}
