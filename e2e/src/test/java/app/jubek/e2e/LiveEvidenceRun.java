package app.jubek.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.Locale;
import org.junit.jupiter.api.Test;

/** The waits of a person with much mail and 15 rules; run by {@code bin/bench-evidence}. */
class LiveEvidenceRun extends Journey {
    private static final int WARM_UP = 40;
    private static final int EDITS = 200;

    private static final String MORE_RULES = """
            async () => {
              const session = await (await fetch('/api/session')).json();
              const at = '/api/mailboxes/' + session.mailboxes[0].id;
              const book = await (await fetch(at + '/rule-book')).json();
              const words = ['pupils', 'coach', 'orchid', 'permit', 'parcel', 'wedding', 'choir', 'compost', 'rota'];
              for (const word of words) {
                book.document.rules.push({ id: 'more-' + word, version: 1, name: 'About ' + word, on: true,
                  ending: 'continue', does: [{ do: 'mark', flags: ['\\\\Flagged'] }],
                  picksOut: { all: [{ part: 'subject or text', how: 'contains', values: [word, word + ' list'] },
                    { part: 'subject', how: 'contains', values: ['invoice'], not: true }] } });
              }
              const token = document.cookie.match(/XSRF-TOKEN=([^;]+)/)[1];
              await fetch(at + '/rule-book', { method: 'PUT',
                headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token },
                body: JSON.stringify({ baseVersion: book.version, document: book.document }) });
              return book.document.rules.length;
            }""";

    private static final String FIRST_LOAD = """
            async () => {
              const session = await (await fetch('/api/session')).json();
              const at = '/api/mailboxes/' + session.mailboxes[0].id + '/past-mail?days=180';
              const began = performance.now();
              let past = await (await fetch(at)).json();
              while (!past.ready) {
                await new Promise((next) => setTimeout(next, 20));
                past = await (await fetch(at)).json();
              }
              return [performance.now() - began, past.messages];
            }""";

    private static final String ASKED = """
            async (path) => {
              const session = await (await fetch('/api/session')).json();
              const at = '/api/mailboxes/' + session.mailboxes[0].id + path;
              const began = performance.now();
              await (await fetch(at)).json();
              return performance.now() - began;
            }""";

    @Test
    void waits() {
        page.evaluate("() => localStorage.setItem('jubek.evidence-days', '180')");
        Object rules = page.evaluate(MORE_RULES);
        say("rules: %s; past mail is loaded (ms, messages): %s", rules, page.evaluate(FIRST_LOAD));
        say("kinds, not asked before: %s ms", page.evaluate(ASKED, "/recurring-mail?days=180"));
        say("kinds again: %s ms", page.evaluate(ASKED, "/recurring-mail?days=180"));
        EditTimes times = new EditTimes(page);
        times.openRule(Demo.ADDRESS);
        times.edit(WARM_UP);
        times.forget();
        times.edit(EDITS);
        say(
                "key to frame: median %.0f ms, 95th percentile %.0f ms; a request that does nothing %.0f ms",
                times.median(), times.ninetyFifth(), times.roundTrip());
        for (int i = 0; i < 3; i++) {
            say("opening a rule: %.0f ms", opening());
        }
    }

    private double opening() {
        goTo("Rules");
        page.getByRole(AriaRole.GRID).getByRole(AriaRole.ROW).nth(1).waitFor();
        long began = System.nanoTime();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Open"))
                .or(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Open")))
                .first()
                .click();
        assertThat(page.locator("[data-counter=PICKED]")).not().hasText("–");
        return (System.nanoTime() - began) / 1e6;
    }

    private static void say(String what, Object... values) {
        System.out.println(String.format(Locale.ROOT, what, values));
    }
}
