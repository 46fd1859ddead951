package app.jubek.core.message;

import java.util.Set;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Node;
import org.jsoup.nodes.TextNode;
import org.jsoup.select.NodeVisitor;

/** The text of an HTML body as a reader sees it: no style, script or hidden parts; blocks on lines of their own. */
final class HtmlText {
    private static final String UNSEEN =
            "script, style, head, template, noscript, [hidden], [style~=(?i)display:\\s*none]";
    private static final Set<String> LINES =
            Set.of("p", "div", "br", "tr", "li", "h1", "h2", "h3", "h4", "h5", "h6", "table", "ul", "ol", "blockquote");

    private HtmlText() {}

    static String of(String html) {
        Document document = Jsoup.parse(html);
        document.select(UNSEEN).remove();
        StringBuilder text = new StringBuilder();
        document.body().traverse(new NodeVisitor() {
            @Override
            public void head(Node node, int depth) {
                if (node instanceof TextNode words) {
                    append(text, words.text());
                } else if (node instanceof Element element && element.nameIs("br")) {
                    newLine(text);
                }
            }

            @Override
            public void tail(Node node, int depth) {
                if (node instanceof Element element) {
                    if (LINES.contains(element.normalName())) {
                        newLine(text);
                    } else if (element.nameIs("td") || element.nameIs("th")) {
                        append(text, " ");
                    }
                }
            }
        });
        return text.toString().strip();
    }

    private static void append(StringBuilder text, String words) {
        boolean atStart = text.isEmpty() || Character.isWhitespace(text.charAt(text.length() - 1));
        text.append(atStart ? words.stripLeading() : words);
    }

    private static void newLine(StringBuilder text) {
        if (!text.isEmpty() && text.charAt(text.length() - 1) != '\n') {
            text.append('\n');
        }
    }
}
