package app.jubek.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static java.util.Map.entry;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.TimeoutError;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;

/** A person at the visits desk, in a browser. Things are found by role and name. */
abstract class Journey {
    /** What is waited for comes; how soon, a busy machine decides, which may stand still for half a minute. */
    private static final double EVENT_LIMIT_MS = 120_000;

    private static final double QUICK_MS = 2_000;

    /** The demo's past mail is read once; if that takes longer, each journey fails soon. */
    private static final double READING_LIMIT_MS = 300_000;

    static final Map<String, String> PLACES = Map.ofEntries(
            entry("incoming", "/incoming?view=messages"),
            entry("recurring-mail", "/incoming"),
            entry("desk", "/desk"),
            entry("rules", "/rules"),
            entry("where-mail-goes", "/rules?view=where-mail-goes"),
            entry("templates", "/templates"),
            entry("address-book", "/address-book"),
            entry("workbench", "/rules/school-visits"),
            entry("trials", "/trials"),
            entry("rehearsal", "/trials/rehearsal"),
            entry("records", "/records"),
            entry("outside", "/outside"));

    private static double readingLimit = READING_LIMIT_MS;
    private static Playwright playwright;
    private static Browser browser;

    private BrowserContext context;
    Page page;

    @BeforeAll
    static void open() {
        Demo.running();
        PlaywrightAssertions.setDefaultAssertionTimeout(EVENT_LIMIT_MS);
        playwright = Playwright.create();
        browser = playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(Path.of("/usr/bin/chromium"))
                        .setChromiumSandbox(false)
                        .setArgs(List.of(
                                "--disable-gpu",
                                "--disable-quic",
                                "--no-first-run",
                                "--disable-background-networking",
                                "--disable-component-update",
                                "--disable-sync")));
    }

    @AfterAll
    static void close() {
        playwright.close();
    }

    @BeforeEach
    void signIn() {
        context = browser.newContext(new Browser.NewContextOptions().setViewportSize(1280, 800));
        context.setDefaultTimeout(EVENT_LIMIT_MS);
        page = context.newPage();
        page.navigate(Demo.ADDRESS);
        page.getByLabel("Name").fill("ilse");
        page.getByLabel("Password").fill("greenhouse");
        button("Sign in").click();
        double limit = readingLimit;
        readingLimit = EVENT_LIMIT_MS;
        assertThat(page.getByText("watching")).isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(limit));
    }

    @AfterEach
    void leave() {
        assertThat(page.getByText("This place can’t be shown")).hasCount(0);
        context.close();
    }

    void visit(String path) {
        page.navigate(Demo.ADDRESS + path);
        settled();
    }

    Page anotherTab(String path) {
        Page tab = context.newPage();
        tab.navigate(Demo.ADDRESS + path);
        return tab;
    }

    Locator button(String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    /** While a rule is open the places are behind a button. */
    void goTo(String place) {
        Locator link = page.getByRole(
                AriaRole.LINK, new Page.GetByRoleOptions().setName(place).setExact(true));
        link.or(button("Places")).first().waitFor();
        if (!link.first().isVisible()) {
            openPlaces();
        }
        link.first().click();
    }

    private void openPlaces() {
        try {
            button("Places").click(new Locator.ClickOptions().setTimeout(QUICK_MS));
        } catch (TimeoutError ruleWasLeftMeanwhile) {
            assertThat(button("Places")).hasCount(0);
        }
    }

    void type(String field, String value) {
        Locator box = page.getByLabel(field);
        box.fill(value);
        box.press("Enter");
    }

    void choose(String what, String chosen) {
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^" + what + ":")))
                .first()
                .click();
        page.getByRole(
                        AriaRole.MENUITEMRADIO,
                        new Page.GetByRoleOptions().setName(chosen).setExact(true))
                .click();
    }

    void newStep(String text) {
        if (button("+ another action").count() == 0) {
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Does"))
                    .click();
        }
        button("+ another action").click();
        page.getByText(text).click();
    }

    void switchOn() {
        button("Save and switch on").click();
        assertThat(page.getByText("is on.").first()).isVisible();
    }

    /** Of a list of messages or of kinds. */
    Locator row(String subject) {
        return page.getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText(subject))
                .first();
    }

    Locator record(String subject, String what) {
        goTo("Records");
        return page.getByRole(AriaRole.ROW)
                .filter(new Locator.FilterOptions().setHasText(subject))
                .filter(new Locator.FilterOptions().setHasText(what));
    }

    /** Once nothing is being looked for any more. */
    void settled() {
        assertThat(page.locator("main")).isVisible();
        assertThat(page.locator("[aria-busy=true]")).hasCount(0);
    }

    /** A counter of the evidence, once it belongs to the rule as it stands. */
    int counter(String name) {
        page.locator("[aria-label='The evidence'][aria-busy=false]").waitFor();
        Locator counter = page.locator("[data-counter=" + name + "]");
        assertThat(counter).not().hasText("–");
        return Integer.parseInt(counter.innerText().replace(",", ""));
    }

    void send(String from, String to, String subject, String text) {
        goTo("Outside");
        Locator form = page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("Write as anybody"));
        form.getByLabel("From").fill(from);
        form.getByLabel("To", new Locator.GetByLabelOptions().setExact(true)).fill(to);
        form.getByLabel("Subject").fill(subject);
        form.getByLabel("Text").fill(text);
        button("Send it").click();
        assertThat(form.getByText("Sent.")).isVisible();
        form.getByLabel("From").fill("");
    }

    /** The mail of a simulated mailbox, in the place Outside. */
    Locator mailOf(String address) {
        page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Simulated mailboxes"))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(address))
                .click();
        return page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Mail of " + address));
    }

    /** What somebody sees who opens the link in the request for agreement that they got. */
    Page pageOfRequest(String address) {
        return pageFrom(address, "May we? Mail from");
    }

    /** What somebody sees who opens the link to a page in a message that they got. */
    Page pageFrom(String address, String subject) {
        goTo("Outside");
        mailOf(address).getByText(subject).click();
        String link = page.getByText("Open the page that it links to").getAttribute("href");
        button("Close").click();
        return anotherTab(link.substring(Demo.ADDRESS.length()));
    }

    /** What a letter looks like in its frame is its sender's; no script can run in there, and looking would wait for one. */
    static List<String> findings(Page page) {
        return new AxeBuilder(page)
                .exclude("iframe").analyze().getViolations().stream()
                        .filter(v -> List.of("serious", "critical").contains(v.getImpact()))
                        .map((Rule v) -> v.getId() + ": " + v.getNodes().get(0).getHtml())
                        .toList();
    }
}
