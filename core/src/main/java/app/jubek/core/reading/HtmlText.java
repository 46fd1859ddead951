package app.jubek.core.reading;

import app.jubek.core.text.WhiteSpace;
import java.util.Locale;
import java.util.Set;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Node;
import org.jsoup.nodes.TextNode;
import org.jsoup.select.NodeFilter;

/** The text of an HTML body as a reader sees it: no style, script or hidden parts; blocks on lines of their own. */
final class HtmlText {
    private static final Set<String> UNSEEN = Set.of("script", "style", "head", "template", "noscript");
    private static final Set<String> LINES =
            Set.of("p", "div", "br", "tr", "li", "h1", "h2", "h3", "h4", "h5", "h6", "table", "ul", "ol", "blockquote");

    private HtmlText() {}

    static String of(String html) {
        StringBuilder text = new StringBuilder();
        Markup.parsed(html).body().filter(new NodeFilter() {
            @Override
            public FilterResult head(Node node, int depth) {
                if (node instanceof TextNode words) {
                    append(text, words.text());
                } else if (node instanceof Element element) {
                    if (isUnseen(element)) {
                        return FilterResult.SKIP_ENTIRELY;
                    }
                    if (element.nameIs("br")) {
                        newLine(text);
                    }
                }
                return FilterResult.CONTINUE;
            }

            @Override
            public FilterResult tail(Node node, int depth) {
                if (node instanceof Element element) {
                    if (LINES.contains(element.normalName())) {
                        newLine(text);
                    } else if (element.nameIs("td") || element.nameIs("th")) {
                        append(text, " ");
                    }
                }
                return FilterResult.CONTINUE;
            }
        });
        return text.toString().strip();
    }

    private static boolean isUnseen(Element element) {
        String style = String.join("", WhiteSpace.words(element.attr("style"))).toLowerCase(Locale.ROOT);
        return UNSEEN.contains(element.normalName()) || element.hasAttr("hidden") || style.contains("display:none");
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
