package app.jubek.core.reading;

import app.jubek.core.text.WhiteSpace;
import java.util.LinkedHashSet;
import java.util.Optional;
import java.util.Set;

/** Message-IDs in a field (RFC 5322 §3.6.4), with their angle brackets. */
final class MessageIds {
    private static final int LONGEST = 900;

    private MessageIds() {}

    public static Optional<String> first(String value) {
        return in(value, 1).stream().findFirst();
    }

    public static Set<String> in(String value, int most) {
        Set<String> ids = new LinkedHashSet<>();
        int open = -1;
        for (int at = 0; at < value.length() && ids.size() < most; at++) {
            char sign = value.charAt(at);
            if (sign == '<') {
                open = at;
            } else if (WhiteSpace.is(sign) || Character.isISOControl(sign)) {
                open = -1;
            } else if (sign == '>' && open >= 0) {
                int length = at - open - 1;
                if (length > 0 && length <= LONGEST) {
                    ids.add(value.substring(open, at + 1));
                }
                open = -1;
            }
        }
        return ids;
    }
}
