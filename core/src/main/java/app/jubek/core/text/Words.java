package app.jubek.core.text;

import java.util.List;

/** Lists of words as an English sentence has them. */
public final class Words {
    private Words() {}

    /** "a", "a or b", "a, b or c". */
    public static String or(List<String> items) {
        return listed(items, " or ");
    }

    /** "a", "a and b", "a, b and c". */
    public static String and(List<String> items) {
        return listed(items, " and ");
    }

    public static String quoted(String words) {
        return "“" + words + "”";
    }

    private static String listed(List<String> items, String last) {
        int n = items.size();
        return n < 2 ? String.join("", items) : String.join(", ", items.subList(0, n - 1)) + last + items.get(n - 1);
    }
}
