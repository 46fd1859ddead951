package app.jubek.formats.sieve.syntax;

import app.jubek.core.text.WhiteSpace;
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.function.UnaryOperator;

/** Characters written by their numbers (RFC 5228 §2.4.2.4), in scripts that ask for them. */
public final class EncodedCharacters {
    private static final Pattern HEX = Pattern.compile("(?i)\\$\\{hex:\\s*((?:[0-9a-f]{1,2}\\s*)+)\\}");
    private static final Pattern UNICODE = Pattern.compile("(?i)\\$\\{unicode:\\s*((?:[0-9a-f]{1,6}\\s*)+)\\}");

    private EncodedCharacters() {}

    public static Script in(Script script) {
        boolean asked = script.commands().stream()
                .filter(command -> command.is("require"))
                .flatMap(command -> command.arguments().stream())
                .anyMatch(argument -> argument instanceof Script.Strings strings
                        && strings.values().contains("encoded-character"));
        return asked
                ? new Script(
                        script.commands().stream().map(EncodedCharacters::in).toList())
                : script;
    }

    private static Script.Command in(Script.Command command) {
        return new Script.Command(
                command.name(),
                command.arguments().stream().map(EncodedCharacters::in).toList(),
                command.test().map(EncodedCharacters::in),
                command.block().stream().map(EncodedCharacters::in).toList(),
                command.comment(),
                command.place());
    }

    private static Script.Test in(Script.Test test) {
        return new Script.Test(
                test.name(),
                test.arguments().stream().map(EncodedCharacters::in).toList(),
                test.tests().stream().map(EncodedCharacters::in).toList(),
                test.place());
    }

    private static Script.Argument in(Script.Argument argument) {
        return argument instanceof Script.Strings strings
                ? new Script.Strings(
                        strings.values().stream()
                                .map(s -> decoded(s, strings.place()))
                                .toList(),
                        strings.alone(),
                        strings.place())
                : argument;
    }

    private static String decoded(String value, Place place) {
        String plain = replaced(HEX, value, EncodedCharacters::bytes);
        return replaced(UNICODE, plain, numbers -> characters(numbers, place));
    }

    private static String replaced(Pattern pattern, String value, UnaryOperator<String> meaning) {
        StringBuilder replaced = new StringBuilder();
        Matcher matcher = pattern.matcher(value);
        int at = 0;
        while (matcher.find()) {
            replaced.append(value, at, matcher.start()).append(meaning.apply(matcher.group(1)));
            at = matcher.end();
        }
        return replaced.append(value.substring(at)).toString();
    }

    private static String bytes(String hex) {
        List<String> numbers = WhiteSpace.words(hex);
        byte[] bytes = new byte[numbers.size()];
        for (int i = 0; i < bytes.length; i++) {
            bytes[i] = (byte) Integer.parseInt(numbers.get(i), 16);
        }
        return new String(bytes, StandardCharsets.UTF_8);
    }

    private static String characters(String hex, Place place) {
        StringBuilder text = new StringBuilder();
        for (String number : WhiteSpace.words(hex)) {
            int point = Integer.parseInt(number, 16);
            if (point > Character.MAX_CODE_POINT || point >= 0xD800 && point <= 0xDFFF) {
                throw new SieveSyntaxException(place, "there is no character " + number);
            }
            text.appendCodePoint(point);
        }
        return text.toString();
    }
}
