package app.jubek.core.outgoing;

import app.jubek.core.template.RichText;
import java.util.Optional;

/**
 * The last line of a forward, with the address of its page; empty where there is nothing to say.
 *
 * @param followedUp the message comes back unless somebody deals with it
 * @param agreed it goes outside, where somebody agreed to get such mail
 */
record FootLine(Optional<String> page, boolean followedUp, boolean agreed) {
    String text() {
        String line = line();
        return line.isEmpty() ? "" : "\r\n\r\n-- \r\n" + line;
    }

    String html() {
        String line = line();
        return line.isEmpty() ? "" : "<hr>" + RichText.of(line);
    }

    private String line() {
        if (page.isEmpty() || !followedUp && !agreed) {
            return "";
        }
        String says = followedUp && agreed
                ? "Dealt with, not for you, or no longer wanted? Please say so here: "
                : followedUp ? "Dealt with, or not for you? Please say so here: " : "You can stop such messages here: ";
        return says + page.get();
    }
}
