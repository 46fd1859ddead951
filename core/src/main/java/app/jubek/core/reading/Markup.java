package app.jubek.core.reading;

import app.jubek.core.text.WhiteSpace;
import org.jsoup.nodes.Document;
import org.jsoup.parser.Parser;

/** HTML from outside, parsed in a time that grows with its length alone. */
public final class Markup {
    /** Elements within elements; deeper ones become neighbours. */
    private static final int DEPTH = 200;

    private static final int LONGEST_NAME = 100;

    private Markup() {}

    public static Document parsed(String html) {
        return Parser.htmlParser().setMaxDepth(DEPTH).parseInput(withoutEndlessTags(html), "");
    }

    /** A tag of more than a hundred letters is none: its sign goes, so that nobody gathers letters of a name for long. */
    private static String withoutEndlessTags(String html) {
        StringBuilder sound = new StringBuilder(html.length());
        int at = 0;
        while (at < html.length()) {
            int name = html.startsWith("</", at) ? at + 2 : at + 1;
            boolean tag = html.charAt(at) == '<' && name < html.length() && Character.isLetter(html.charAt(name));
            int end = name;
            while (tag && end < html.length() && isOfName(html.charAt(end))) {
                end++;
            }
            sound.append(html, end - name > LONGEST_NAME ? name : at, end);
            at = end;
        }
        return sound.toString();
    }

    private static boolean isOfName(char sign) {
        return sign != '>' && sign != '<' && sign != '/' && !WhiteSpace.is(sign);
    }
}
