package app.jubek.server.messages;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;

/** A message as a page, with pictures of its own. */
class ShownHtmlTest {
    private static final String PICTURE = "data:image/png;base64," + "QUJD".repeat(700_000);

    @Test
    void aPictureNamedAHundredTimesDoesNotFillTheMemory() {
        String html = "<p>one</p>" + "<img src=\"cid:a\">".repeat(100) + "<p>two</p>";
        String page = new ShownHtml().page(html, Map.of("cid:a", PICTURE));
        assertThat(page).contains("one", "two", PICTURE).hasSizeLessThan(9 << 20);
    }

    @Test
    void whatNamesNoPictureOfTheMessageIsLeftOut() {
        String page = new ShownHtml().page("<img src=\"cid:b\">text cid:", Map.of("cid:a", PICTURE));
        assertThat(page).contains("text cid:").doesNotContain("<img", "QUJD");
    }
}
