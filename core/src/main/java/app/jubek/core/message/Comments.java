package app.jubek.core.message;

/** Comments and quoted strings of structured fields (RFC 5322 §3.2.2, §3.2.4). */
public final class Comments {
    private Comments() {}

    /** Without comments, however deep they nest; one that does not close matches to the end. */
    public static String removed(String value) {
        return scanned(value, false);
    }

    /** Without comments, and without quoted strings, in which signs mean nothing. */
    static String andQuotesRemoved(String value) {
        return scanned(value, true);
    }

    private static String scanned(String value, boolean withoutQuotes) {
        StringBuilder plain = new StringBuilder(value.length());
        int depth = 0;
        boolean quoted = false;
        for (int at = 0; at < value.length(); at++) {
            char sign = value.charAt(at);
            boolean escapes = sign == '\\' && (quoted || depth > 0) && at + 1 < value.length();
            boolean seen = depth == 0 && !(quoted && withoutQuotes);
            if (escapes) {
                plain.append(seen ? value.substring(at, at + 2) : "");
                at++;
            } else if (sign == '"' && depth == 0) {
                quoted = !quoted;
                plain.append(withoutQuotes ? quoted ? " " : "" : "\"");
            } else if (sign == '(' && !quoted) {
                plain.append(depth++ == 0 ? " " : "");
            } else if (sign == ')' && depth > 0) {
                depth--;
            } else if (seen) {
                plain.append(sign);
            }
        }
        return plain.toString();
    }
}
