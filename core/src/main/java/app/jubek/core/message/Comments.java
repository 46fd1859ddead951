package app.jubek.core.message;

/** Comments of structured fields (RFC 5322 §3.2.2). */
final class Comments {
    private Comments() {}

    static String removed(String value) {
        String plain = value;
        String before;
        do {
            before = plain;
            plain = plain.replaceAll("\\([^()]*\\)", " ");
        } while (!plain.equals(before));
        return plain;
    }
}
