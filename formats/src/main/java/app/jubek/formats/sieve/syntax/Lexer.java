package app.jubek.formats.sieve.syntax;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Cuts a script into tokens (RFC 5228 §8.1). */
final class Lexer {
    private final String text;
    private final List<Token> tokens = new ArrayList<>();
    private int at;
    private int line = 1;
    private int lineBegins;
    private String comment = "";
    private int commentLine;

    /** What kind of token. */
    enum Kind {
        IDENTIFIER,
        TAG,
        NUMBER,
        STRING,
        SIGN,
        END
    }

    /**
     * @param comment the comment on the lines right above; may be empty
     */
    record Token(Kind kind, String text, String comment, Place place) {
        boolean is(String sign) {
            return kind == Kind.SIGN && text.equals(sign);
        }
    }

    private Lexer(String text) {
        this.text = text;
    }

    static List<Token> tokens(String script) {
        Lexer lexer = new Lexer(script.startsWith("\uFEFF") ? script.substring(1) : script);
        while (lexer.at < lexer.text.length()) {
            lexer.next();
        }
        lexer.add(Kind.END, "", lexer.here());
        return lexer.tokens;
    }

    private Place here() {
        return new Place(line, at - lineBegins + 1);
    }

    private void add(Kind kind, String value, Place place) {
        boolean right = !comment.isEmpty() && place.line() - commentLine <= 1;
        tokens.add(new Token(kind, value, right ? comment : "", place));
        comment = "";
    }

    private void next() {
        char c = text.charAt(at);
        Place place = here();
        if (c == '\n') {
            newLine();
        } else if (Character.isWhitespace(c)) {
            at++;
        } else if (c == '#') {
            hashComment();
        } else if (text.startsWith("/*", at)) {
            bracketComment(place);
        } else if (c == '"') {
            add(Kind.STRING, quoted(place), place);
        } else if (c == ':') {
            at++;
            add(Kind.TAG, identifier().orElseThrow(() -> new SieveSyntaxException(place, "a tag has no name")), place);
        } else if (isDigit(c)) {
            add(Kind.NUMBER, Long.toString(number(place)), place);
        } else if ("[](){},;".indexOf(c) >= 0) {
            at++;
            add(Kind.SIGN, String.valueOf(c), place);
        } else {
            word(place);
        }
    }

    private void newLine() {
        at++;
        line++;
        lineBegins = at;
    }

    private void word(Place place) {
        String name = identifier()
                .orElseThrow(() -> new SieveSyntaxException(place, "\"" + text.charAt(at) + "\" can't stand here"));
        if (name.equals("text") && at < text.length() && text.charAt(at) == ':') {
            at++;
            add(Kind.STRING, multiLine(place), place);
        } else {
            add(Kind.IDENTIFIER, name, place);
        }
    }

    private Optional<String> identifier() {
        int begin = at;
        while (at < text.length() && (isLetter(text.charAt(at)) || at > begin && isDigit(text.charAt(at)))) {
            at++;
        }
        return begin == at ? Optional.empty() : Optional.of(Script.lower(text.substring(begin, at)));
    }

    private static boolean isLetter(char c) {
        return c >= 'a' && c <= 'z' || c >= 'A' && c <= 'Z' || c == '_';
    }

    private static boolean isDigit(char c) {
        return c >= '0' && c <= '9';
    }

    private long number(Place place) {
        int begin = at;
        while (at < text.length() && isDigit(text.charAt(at))) {
            at++;
        }
        try {
            long plain = Long.parseLong(text.substring(begin, at));
            int shift = at < text.length() ? shift(text.charAt(at)) : 0;
            at += shift > 0 ? 1 : 0;
            return Math.multiplyExact(plain, 1L << shift);
        } catch (NumberFormatException | ArithmeticException tooLarge) {
            throw new SieveSyntaxException(place, "the number is too large");
        }
    }

    private static int shift(char quantifier) {
        return switch (quantifier) {
            case 'k', 'K' -> 10;
            case 'm', 'M' -> 20;
            case 'g', 'G' -> 30;
            default -> 0;
        };
    }

    private String quoted(Place place) {
        StringBuilder value = new StringBuilder();
        at++;
        while (at < text.length() && text.charAt(at) != '"') {
            if (text.charAt(at) == '\\' && at + 1 < text.length()) {
                at++;
            }
            value.append(text.charAt(at));
            passOne();
        }
        if (at == text.length()) {
            throw new SieveSyntaxException(place, "a string begins here and does not end");
        }
        at++;
        return value.toString();
    }

    private void passOne() {
        if (text.charAt(at) == '\n') {
            newLine();
        } else {
            at++;
        }
    }

    private String multiLine(Place place) {
        String rest = lineFrom();
        if (!rest.isBlank() && !rest.strip().startsWith("#")) {
            throw new SieveSyntaxException(place, "after \"text:\" the line must end");
        }
        StringBuilder value = new StringBuilder();
        while (at < text.length()) {
            String content = lineFrom();
            if (content.equals(".")) {
                return value.toString();
            }
            value.append(content.startsWith(".") ? content.substring(1) : content)
                    .append("\r\n");
        }
        throw new SieveSyntaxException(place, "a text begins here and does not end with a dot on a line of its own");
    }

    /** The rest of the line, which is passed. */
    private String lineFrom() {
        int end = text.indexOf('\n', at);
        String content = text.substring(at, end < 0 ? text.length() : end);
        at = end < 0 ? text.length() : end;
        if (end >= 0) {
            newLine();
        }
        return content.endsWith("\r") ? content.substring(0, content.length() - 1) : content;
    }

    private void hashComment() {
        commentLine = line;
        comment = lineFrom().substring(1).strip();
    }

    private void bracketComment(Place place) {
        int end = text.indexOf("*/", at + 2);
        if (end < 0) {
            throw new SieveSyntaxException(place, "a comment begins here and does not end");
        }
        while (at < end + 2) {
            passOne();
        }
    }
}
