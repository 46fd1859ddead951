package app.jubek.core.template;

import app.jubek.core.reading.Markup;
import java.util.ArrayList;
import java.util.List;
import org.jsoup.nodes.Document.OutputSettings;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Entities;
import org.jsoup.safety.Cleaner;
import org.jsoup.safety.Safelist;

/** Rich text as people write it: a few elements of HTML, and nothing that could act or load. */
public final class RichText {
    private static final Safelist ALLOWED = new Safelist()
            .addTags(
                    "p",
                    "br",
                    "strong",
                    "b",
                    "em",
                    "i",
                    "u",
                    "s",
                    "ul",
                    "ol",
                    "li",
                    "h2",
                    "h3",
                    "blockquote",
                    "hr",
                    "a",
                    "table",
                    "tbody",
                    "tr",
                    "td",
                    "th")
            .addAttributes("a", "href")
            .addProtocols("a", "href", "http", "https", "mailto");

    private RichText() {}

    /** Without everything that is not allowed; the same again when cleaned twice. */
    public static String cleaned(String html) {
        return clean(html, ALLOWED).strip();
    }

    /** Markup that somebody else wrote, as it may be handed on: nothing acts; pictures in the message stay. */
    public static String withoutActions(String html) {
        Safelist allowed = Safelist.relaxed()
                .addTags("hr", "font", "center", "s")
                .addAttributes(":all", "style", "align", "dir", "lang", "bgcolor", "color", "width", "height")
                .addProtocols("img", "src", "cid", "data")
                .addProtocols("a", "href", "tel");
        return clean(html, allowed);
    }

    private static String clean(String html, Safelist allowed) {
        org.jsoup.nodes.Document clean = new Cleaner(allowed).clean(Markup.parsed(html));
        clean.outputSettings(settings());
        return clean.body().html();
    }

    /** Whether there is anything to read in it. */
    static boolean isBlank(String html) {
        return Markup.parsed(html).body().text().isBlank();
    }

    /** Paragraphs of plain text as rich text. */
    public static String of(String text) {
        Element body = new Element("div");
        List<String> paragraph = new ArrayList<>();
        for (String line : text.strip().lines().toList()) {
            if (!line.isBlank()) {
                paragraph.add(line);
            } else if (!paragraph.isEmpty()) {
                lines(body.appendElement("p"), paragraph);
                paragraph.clear();
            }
        }
        lines(body.appendElement("p"), paragraph);
        return written(body);
    }

    private static void lines(Element into, List<String> lines) {
        for (int i = 0; i < lines.size(); i++) {
            if (i > 0) {
                into.appendElement("br");
            }
            into.appendText(lines.get(i));
        }
    }

    private static String written(Element body) {
        org.jsoup.nodes.Document document = org.jsoup.nodes.Document.createShell("");
        document.outputSettings(settings());
        document.body().appendChild(body);
        return body.html();
    }

    /** Letters stay letters; only what markup would misread is escaped. */
    private static OutputSettings settings() {
        return new OutputSettings().prettyPrint(false).escapeMode(Entities.EscapeMode.xhtml);
    }
}
