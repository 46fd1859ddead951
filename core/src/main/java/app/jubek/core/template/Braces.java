package app.jubek.core.template;

import com.samskivert.mustache.Mustache;
import com.samskivert.mustache.MustacheException;

/** The braces of a template's words, between which fields stand. */
final class Braces {
    /** Escapes nothing: values that go into rich text are escaped before, so that no sort of field lets one through. */
    static final Mustache.Compiler COMPILER =
            Mustache.compiler().escapeHTML(false).defaultValue("");

    private Braces() {}

    /** Whether one of some signs follows two braces: what Mustache would leave unescaped, or take for other braces. */
    static boolean followedBy(String words, String signs) {
        for (int at = words.indexOf("{{"); at >= 0; at = words.indexOf("{{", at + 1)) {
            int sign = at + 2;
            while (sign < words.length() && Character.isWhitespace(words.charAt(sign))) {
                sign++;
            }
            if (sign < words.length() && signs.indexOf(words.charAt(sign)) >= 0) {
                return true;
            }
        }
        return false;
    }

    /**
     * The names between them.
     *
     * @throws IllegalArgumentException where some don't close, or name no field; it says which
     */
    static FieldNames names(String subject, String text, String rich, Signature signature) {
        FieldNames names = new FieldNames();
        visit(names, "subject", subject);
        visit(names, "text", text);
        visit(names, "rich text", rich);
        visit(names, "signature", signature.text());
        return names;
    }

    private static void visit(FieldNames names, String where, String text) {
        try {
            COMPILER.compile(text).visit(names.in(where));
        } catch (MustacheException broken) {
            throw new IllegalArgumentException(
                    "the braces in the " + where + " don't close: " + broken.getMessage(), broken);
        }
    }
}
