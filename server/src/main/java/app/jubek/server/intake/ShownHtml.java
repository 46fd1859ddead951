package app.jubek.server.intake;

import org.owasp.html.HtmlPolicyBuilder;
import org.owasp.html.PolicyFactory;
import org.owasp.html.Sanitizers;

/** Cleans the HTML of a message for showing; links and pictures of the outside world do not come through. */
public final class ShownHtml {
    private final PolicyFactory policy = Sanitizers.FORMATTING
            .and(Sanitizers.BLOCKS)
            .and(Sanitizers.TABLES)
            .and(Sanitizers.STYLES)
            .and(new HtmlPolicyBuilder()
                    .allowElements("hr", "pre", "span", "div", "center", "font")
                    .toFactory());

    public String page(String html) {
        return "<!doctype html><meta charset=\"utf-8\"><base target=\"_blank\"><body style=\"font:15px/1.5 sans-serif;"
                + "margin:12px;color:#1F2D2A;background:#FEFFFE\">" + policy.sanitize(html) + "</body>";
    }
}
