package app.jubek.server.messages;

import java.util.List;
import java.util.Map;
import org.owasp.html.HtmlPolicyBuilder;
import org.owasp.html.PolicyFactory;
import org.owasp.html.Sanitizers;

/** Cleans the HTML of a message for showing; links and pictures of the outside world do not come through. */
public final class ShownHtml {
    private static final List<String> INSIDE =
            List.of("data:image/png;base64,", "data:image/jpeg;base64,", "data:image/gif;base64,");
    private static final String CID = "cid:";
    private static final String ENDS_ID = "\"'<>() ";

    /** Of all pictures together, in characters; a mail may name one picture a hundred times. */
    private static final int MOST_PICTURES = 8 << 20;

    private static final int LONGEST_ID = 300;

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
                    .matching(ShownHtml::isInside)
                    .onElements("img")
                    .allowAttributes("alt")
                    .onElements("img")
                    .toFactory());

    private static boolean isInside(String address) {
        return INSIDE.stream()
                .anyMatch(begin -> address.startsWith(begin)
                        && address.length() > begin.length()
                        && address.chars().skip(begin.length()).allMatch(ShownHtml::isOfBase64));
    }

    private static boolean isOfBase64(int sign) {
        return sign >= 'A' && sign <= 'Z'
                || sign >= 'a' && sign <= 'z'
                || sign >= '0' && sign <= '9'
                || sign == '+'
                || sign == '/'
                || sign == '=';
    }

    private static String inside(String html, Map<String, String> pictures) {
        if (pictures.isEmpty()) {
            return html;
        }
        StringBuilder inside = new StringBuilder(html.length());
        int written = 0;
        int left = MOST_PICTURES;
        for (int at = html.indexOf(CID); at >= 0; at = html.indexOf(CID, at + CID.length())) {
            int end = at + CID.length();
            while (end < html.length() && ENDS_ID.indexOf(html.charAt(end)) < 0 && end - at < LONGEST_ID) {
                end++;
            }
            String picture = pictures.getOrDefault(html.substring(at, end), "");
            if (!picture.isEmpty() && picture.length() <= left) {
                inside.append(html, written, at).append(picture);
                left -= picture.length();
                written = end;
            }
        }
        return inside.append(html, written, html.length()).toString();
    }

    public String page(String html) {
        return page(html, Map.of());
    }

    /**
     * With pictures of its own.
     *
     * @param pictures what stands for each address of a picture; others are left out
     */
    public String page(String html, Map<String, String> pictures) {
        return "<!doctype html><meta charset=\"utf-8\"><base target=\"_blank\"><body style=\"font:15px/1.5 sans-serif;"
                + "margin:12px;color:#1F2D2A;background:#FEFFFE\">" + policy.sanitize(inside(html, pictures))
                + "</body>";
    }
}
