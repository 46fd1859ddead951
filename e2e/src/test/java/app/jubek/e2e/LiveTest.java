package app.jubek.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.List;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import org.junit.jupiter.api.Assertions;
import org.junit.jupiter.api.Test;

/** What arrives appears by itself: told by one stream for all tabs, and asked for where no stream can be had. */
class LiveTest extends Journey {
    private static final String MESSAGES = "/incoming?view=messages";

    private void arrives(Page tab, String subject) {
        send("Mara Lindqvist <mara@home-post.example>", "visits@ostrel-gardens.example", subject, "hello");
        assertThat(tab.getByText(subject).first()).isVisible();
    }

    @Test
    void aMessageAppearsInEveryTabAndAllOfThemShareOneStream() {
        Queue<String> streams = new ConcurrentLinkedQueue<>();
        page.context().onRequest(request -> {
            if (request.url().contains("/api/events")) {
                streams.add(request.url());
            }
        });
        page.reload();
        List<Page> tabs = List.of(anotherTab(MESSAGES), anotherTab(MESSAGES));
        tabs.forEach(tab -> assertThat(tab.getByText(" in the last 90 days")).isVisible());
        arrives(tabs.get(0), "Is the palm house warm?");
        assertThat(tabs.get(1).getByText("Is the palm house warm?").first()).isVisible();
        Assertions.assertEquals(1, streams.size(), "streams of three tabs");
    }

    @Test
    void whereAProxyCutsTheStreamThePageAsksByItself() {
        page.context().route("**/api/events*", route -> route.abort());
        page.reload();
        Page tab = anotherTab(MESSAGES);
        assertThat(tab.getByText(" in the last 90 days")).isVisible();
        arrives(tab, "May I bring a pram?");
    }
}
