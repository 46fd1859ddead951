package app.jubek.core.trial;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.Role;
import app.jubek.core.people.OwnSide;
import app.jubek.core.text.Pieces;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Takes out of a text who wrote it and to whom: names and addresses become "Person 1" and "person1" at the same domain,
 * long numbers become zeros. Own addresses stay. What else tells of a person, people have to see for themselves.
 */
public final class Blanking {
    private static final int SHORTEST_NAME = 3;
    private static final int LONG_NUMBER = 5;
    private static final String NUMBER_SIGNS = "0123456789 +-/().";

    private final OwnSide own;
    private final Map<String, Integer> numbers = new LinkedHashMap<>();
    private final Set<String> names = new HashSet<>();

    private Blanking(OwnSide own) {
        this.own = own;
    }

    public static Blanking of(ReadMessage message, OwnSide own) {
        Blanking blanking = new Blanking(own);
        message.in(Role.FROM).forEach(blanking::learn);
        Stream.of(Role.values()).flatMap(role -> message.in(role).stream()).forEach(blanking::learn);
        return blanking;
    }

    private void learn(MailAddress address) {
        if (!own.isOwn(address)) {
            number(address);
            Pieces.runs(address.name(), Character::isLetter).stream()
                    .filter(name -> name.length() >= SHORTEST_NAME)
                    .map(name -> name.toLowerCase(Locale.ROOT))
                    .forEach(names::add);
        }
    }

    private int number(MailAddress address) {
        return numbers.computeIfAbsent(address.key(), key -> numbers.size() + 1);
    }

    /** An address with a name, blanked; as it was where it is our own. */
    public MailAddress address(MailAddress address) {
        if (own.isOwn(address)) {
            return address;
        }
        int number = number(address);
        String name = address.name().isBlank() ? "" : "Person " + number;
        return new MailAddress(name, "person" + number, address.domain());
    }

    public String text(String text) {
        StringBuilder out = new StringBuilder(text.length());
        int at = 0;
        while (at < text.length()) {
            int end = at;
            while (end < text.length() && !isGap(text.charAt(end))) {
                end++;
            }
            out.append(word(text.substring(at, end)));
            at = end;
            while (at < text.length() && isGap(text.charAt(at))) {
                out.append(text.charAt(at++));
            }
        }
        return withoutNumbers(out.toString());
    }

    private static boolean isGap(char sign) {
        return Character.isWhitespace(sign) || "<>()[]\",;:".indexOf(sign) >= 0;
    }

    private String word(String word) {
        String bare = Pieces.withoutEnd(word, sign -> sign == '.' || sign == '!' || sign == '?');
        if (bare.indexOf('@') > 0) {
            return MailAddress.found(bare)
                    .map(found -> address(found).address() + word.substring(bare.length()))
                    .orElse(word);
        }
        List<String> letters = Pieces.runs(word, Character::isLetter);
        String blanked = word;
        for (String name : letters) {
            if (names.contains(name.toLowerCase(Locale.ROOT))) {
                blanked = blanked.replace(name, "…");
            }
        }
        return blanked;
    }

    private static String withoutNumbers(String text) {
        StringBuilder out = new StringBuilder(text);
        for (int[] run : numberRuns(text)) {
            for (int i = run[0]; i < run[1]; i++) {
                out.setCharAt(i, Character.isDigit(text.charAt(i)) ? '0' : text.charAt(i));
            }
        }
        return out.toString();
    }

    /** Where digits stand in a row, with what people write between them, that are enough for a telephone. */
    private static List<int[]> numberRuns(String text) {
        List<int[]> runs = new ArrayList<>();
        int from = 0;
        int digits = 0;
        for (int i = 0; i <= text.length(); i++) {
            boolean inside = i < text.length() && NUMBER_SIGNS.indexOf(text.charAt(i)) >= 0;
            if (inside) {
                digits += Character.isDigit(text.charAt(i)) ? 1 : 0;
            } else {
                if (digits >= LONG_NUMBER) {
                    runs.add(new int[] {from, i});
                }
                from = i + 1;
                digits = 0;
            }
        }
        return runs;
    }
}
