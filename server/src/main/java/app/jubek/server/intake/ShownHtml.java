package app.jubek.server.intake;

import java.util.Map;
import java.util.regex.Pattern;
import org.owasp.html.HtmlPolicyBuilder;
import org.owasp.html.PolicyFactory;
import org.owasp.html.Sanitizers;

/** Cleans the HTML of a message for showing; links and pictures of the outside world do not come through. */
public final class ShownHtml {
    private static final Pattern INSIDE = Pattern.compile("data:image/(?:png|jpeg|gif);base64,[A-Za-z0-9+/=]+");

    private final PolicyFactory policy = Sanitizers.FORMATTING
            .and(Sanitizers.BLOCKS)
            .and(Sanitizers.TABLES)
            .and(Sanitizers.STYLES)
            .and(new HtmlPolicyBuilder()
                    .allowElements("hr", "pre", "span", "div", "center", "font")
                    .toFactory())
            .and(new HtmlPolicyBuilder()
                    .allowElements("img")
                    .allowUrlProtocols("data")
                    .allowAttributes("src")
                    .matching(INSIDE)
                    .onElements("img")
                    .allowAttributes("alt")
                    .onElements("img")
                    .toFactory());

    public String page(String html) {
        return page(html, Map.of());
    }

    /**
     * With pictures of its own.
     *
     * @param pictures what stands for each address of a picture; others are left out
     */
    public String page(String html, Map<String, String> pictures) {
        String inside = html;
        for (Map.Entry<String, String> picture : pictures.entrySet()) {
            inside = inside.replace(picture.getKey(), picture.getValue());
        }
        return "<!doctype html><meta charset=\"utf-8\"><base target=\"_blank\"><body style=\"font:15px/1.5 sans-serif;"
                + "margin:12px;color:#1F2D2A;background:#FEFFFE\">" + policy.sanitize(inside) + "</body>";
    }
}
