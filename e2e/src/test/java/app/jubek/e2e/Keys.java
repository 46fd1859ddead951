package app.jubek.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import org.assertj.core.api.Assertions;

/** Works a page by its keys alone: every control is reached by F6 and Tab. */
final class Keys {
    private static final int MOST_TABS = 60;
    private static final int MOST_REGIONS = 8;

    private final Page page;
    private int actions;

    Keys(Page page) {
        this.page = page;
    }

    /** How often a place, a control or a field was gone to and worked. */
    int actions() {
        return actions;
    }

    /** By the jump box, as the guide says. */
    void jump(String place) {
        actions++;
        page.keyboard().press("Control+k");
        page.keyboard().type(place);
        page.keyboard().press("Enter");
        assertThat(page.locator("[aria-busy=true]")).hasCount(0);
    }

    void press(Locator control, String key) {
        actions++;
        reach(control);
        page.keyboard().press(key);
    }

    void write(Locator field, String text) {
        actions++;
        reach(field);
        page.keyboard().press("Control+a");
        page.keyboard().type(text);
    }

    /** Goes by F6 to the region of a control, and on by Tab until the control has the focus. */
    void reach(Locator control) {
        control.waitFor();
        assertThat(control).isEnabled();
        int regions = 0;
        while (!hasFocus(control) && (regions == 0 || isElsewhere(control)) && regions < MOST_REGIONS) {
            page.keyboard().press("F6");
            regions++;
        }
        for (int tabs = 0; tabs < MOST_TABS; tabs++) {
            if (hasFocus(control)) {
                return;
            }
            page.keyboard().press("Tab");
        }
        Assertions.fail("no key reaches " + control);
    }

    /** The control lies in a region in which the focus is not. */
    private static boolean isElsewhere(Locator control) {
        return (boolean) control.evaluate("it => { const region = it.closest('[data-region]');"
                + " return region !== null && !region.contains(document.activeElement); }");
    }

    static boolean hasFocus(Locator control) {
        return (boolean) control.evaluate("it => it === document.activeElement");
    }
}
