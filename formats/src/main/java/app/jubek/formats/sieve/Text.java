package app.jubek.formats.sieve;

import app.jubek.core.text.Pieces;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/** A script being put together, with the extensions it asks for. */
final class Text {
    private final StringBuilder body = new StringBuilder();
    private final Set<String> extensions = new TreeSet<>();
    private int indent;

    void line(String line) {
        body.append("  ".repeat(indent)).append(line).append("\r\n");
    }

    void comment(String words) {
        line("# " + Pieces.replaced(words, sign -> sign == '\r' || sign == '\n', " "));
    }

    void open(String head) {
        line(head + " {");
        indent++;
    }

    void close() {
        indent--;
        line("}");
    }

    void needs(String extension) {
        extensions.add(extension);
    }

    static String quoted(String value) {
        return "\"" + value.replace("\\", "\\\\").replace("\"", "\\\"") + "\"";
    }

    static String list(List<String> values) {
        return values.size() == 1
                ? quoted(values.get(0))
                : "[" + String.join(", ", values.stream().map(Text::quoted).toList()) + "]";
    }

    String whole() {
        String require = extensions.isEmpty() ? "" : "require " + list(List.copyOf(extensions)) + ";\r\n\r\n";
        return require + body;
    }
}
