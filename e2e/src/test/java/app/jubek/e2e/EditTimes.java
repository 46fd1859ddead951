package app.jubek.e2e;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;

/**
 * How long people wait for the evidence: from a key event to the animation frame after the counts that belong to it are in
 * the page. In milliseconds.
 */
final class EditTimes {
    private static final List<String> WORDS = List.of(
            "visit",
            "pupil",
            "coach",
            "tour",
            "orchid",
            "umbrella",
            "permit",
            "seeds",
            "leaf",
            "invoice",
            "parcel",
            "arrival",
            "wedding",
            "opening",
            "thanks",
            "letter",
            "choir",
            "moss",
            "bats",
            "bench",
            "lily",
            "hazel",
            "stakes",
            "compost",
            "garden",
            "glasses",
            "mitten",
            "swap",
            "shift",
            "morning");

    private static final String WATCH = """
            () => {
              const panel = document.querySelector('[aria-label="The evidence"]');
              window.edit = new Promise((done) => {
                setTimeout(() => done(10000), 10000);
                window.addEventListener('keydown', () => {
                  const began = performance.now();
                  let wasBehind = false;
                  const look = () => {
                    const behind = panel.getAttribute('aria-busy') === 'true';
                    if (wasBehind && !behind) {
                      watch.disconnect();
                      requestAnimationFrame(() => done(performance.now() - began));
                    }
                    wasBehind = wasBehind || behind;
                  };
                  const watch = new MutationObserver(look);
                  watch.observe(panel, { attributes: true });
                }, { once: true, capture: true });
              });
            }""";

    private static final String NOTHING = """
            async () => {
              const began = performance.now();
              await (await fetch('/api/session')).json();
              return performance.now() - began;
            }""";

    private final Page page;
    private final List<Double> edits = new ArrayList<>();
    private final List<Double> nothings = new ArrayList<>();
    private int made;

    EditTimes(Page page) {
        this.page = page;
    }

    /** A rule by two domains, by words of subject or text, and by words that are not in it. */
    void openRule(String address) {
        page.navigate(address + "/rules/new");
        Locator sender = page.getByLabel("add a value to sender");
        sender.fill("norrskola.example");
        sender.press("Enter");
        sender.fill("mailhaven.example");
        sender.press("Enter");
        add(words(0), "guided visit");
        button("Add a criterion").click();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("how: contain any of"))
                .last()
                .click();
        page.getByText("contain none of").click();
        add(words(1), "price list");
    }

    private static void add(Locator box, String value) {
        box.fill(value);
        box.press("Enter");
    }

    private Locator words(int which) {
        return page.getByLabel("add a value to words").nth(which);
    }

    private Locator button(String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    /**
     * Each edit is the last key of a word, in turn among what is picked out and what must not be there. No word comes
     * twice: what was asked before is known in the page.
     */
    void edit(int times) {
        for (int i = 0; i < times; i++) {
            String word =
                    WORDS.get(made % WORDS.size()) + (made < WORDS.size() ? "" : " " + WORDS.get(made / WORDS.size()));
            Locator box = words(made % 4 == 3 ? 1 : 0);
            made++;
            box.fill(word.substring(0, word.length() - 1));
            settle();
            page.evaluate(WATCH);
            box.press(word.substring(word.length() - 1));
            edits.add(((Number) page.evaluate("() => window.edit")).doubleValue());
            nothings.add(((Number) page.evaluate(NOTHING)).doubleValue());
            box.fill("");
        }
    }

    /** Edits so far only warmed up. */
    void forget() {
        edits.clear();
        nothings.clear();
    }

    private void settle() {
        page.waitForTimeout(60);
        page.locator("[aria-label='The evidence'][aria-busy=false]").waitFor();
        page.waitForTimeout(60);
    }

    double median() {
        return at(edits, 0.5);
    }

    double ninetyFifth() {
        return at(edits, 0.95);
    }

    /** Of a request that does nothing. */
    double roundTrip() {
        return at(nothings, 0.5);
    }

    private static double at(List<Double> times, double share) {
        List<Double> sorted = times.stream().sorted().toList();
        return sorted.get((int) Math.min(sorted.size() - 1, Math.floor(share * sorted.size())));
    }
}
