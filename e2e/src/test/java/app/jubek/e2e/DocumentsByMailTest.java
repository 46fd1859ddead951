package app.jubek.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;

/** Documents that anybody gets by writing to an alias, a form's mail answered, and one message handed on both ways. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class DocumentsByMailTest extends Journey {
    private static final String ALIAS = "schools@ostrel-gardens.example";
    private static final String TEACHER = "liv@birkhall-school.example";
    private static final String FORM = "noreply@forms.example";

    /** One dot, 1 by 1. */
    private static final byte[] DOT = Base64.getDecoder()
            .decode("iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==");

    private Locator preview() {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Preview"));
    }

    private void put(String where, String name, String mediaType, byte[] bytes) {
        page.getByLabel("file for " + where).setInputFiles(new FilePayload(name, mediaType, bytes));
        assertThat(page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName(where))
                        .getByLabel("Take out " + name))
                .isVisible();
    }

    @Test
    @Order(1)
    void aTemplateWithDocumentsAndASignatureIsSeenOnRealAndSampleMail() {
        goTo("Templates");
        button("New").click();
        page.getByLabel("Name of the template").fill("School visits by mail");
        page.getByLabel("Subject (empty").fill("Your documents for a visit");
        page.getByLabel("Text", new Page.GetByLabelOptions().setExact(true)).fill("Dear teacher,\n\nhere they are.");
        button("Rich text: none").click();
        Locator rich = page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Rich text"));
        assertThat(rich).containsText("here they are.");
        page.getByLabel("Signature, under the text").fill("The visits desk");
        put("Picture in the signature", "leaf.png", "image/png", DOT);
        put(
                "Attached documents",
                "Lageplan für Gäste.pdf",
                "application/pdf",
                "a plan".getBytes(StandardCharsets.UTF_8));
        put("Attached documents", "prices.txt", "text/plain", "free for classes".getBytes(StandardCharsets.UTF_8));
        for (int message = 0; message < 3; message++) {
            assertThat(preview()).containsText("with Lageplan für Gäste.pdf, prices.txt");
            button("Earlier").click();
        }
        assertThat(page.frameLocator("iframe[title='Rich text']").getByText("The visits desk"))
                .isVisible();
        rich.press("Control+End");
        page.keyboard().type(" Tuesday");
        assertThat(page.getByText("the plain text follows it by itself")).isVisible();
        button("Plain text").click();
        Locator plain = page.getByLabel("Text", new Page.GetByLabelOptions().setExact(true));
        assertThat(plain).containsText("here they are. Tuesday");
        plain.press("Control+End");
        page.keyboard().type(" or later");
        assertThat(preview()).containsText("“later” is in one of them only");
        button("Rich text").click();
        button("Make plain text from this").click();
        assertThat(preview()).not().containsText("Text and rich text differ");
        button("Preview with a sample message …").click();
        page.getByLabel("From").fill("Liv <" + TEACHER + ">");
        assertThat(preview()).containsText("to " + TEACHER);
        button("Save").click();
        assertThat(page.getByText("“School visits by mail” is saved as version 1."))
                .isVisible();
    }

    @Test
    @Order(2)
    void whoeverWritesToTheAliasGetsThemThreeTimesADayAndTheFourthIsHeldBack() {
        page.navigate(Demo.ADDRESS + "/rules/new");
        choose("part", "written to");
        type("add a value to recipient", ALIAS);
        newStep("reply to its sender");
        choose("the reply", "School visits by mail");
        choose("how often", "at each request, at most 3 a day");
        choose("when it goes out", "at once");
        button("Send a test").click();
        assertThat(page.getByText("It arrived,")).isVisible();
        switchOn();
        for (int asked = 1; asked <= 4; asked++) {
            send("Liv <" + TEACHER + ">", ALIAS, "request " + asked, "");
        }
        // Four messages in a row on a machine that has just started: what counts here is what is done, not how fast.
        record("request 4", "not replied to — withheld").waitFor();
        assertThat(record("request 4", "not replied to — withheld"))
                .containsText("it replies to each request, at most 3 times a day per sender");
        goTo("Outside");
        Locator answers = mailOf(TEACHER).getByRole(AriaRole.LISTITEM);
        assertThat(answers).hasCount(3);
        answers.first().click();
        assertThat(page.getByText("Content-ID: <signature-picture>")).isVisible();
        assertThat(page.getByText("filename=\"prices.txt\"")).isVisible();
        button("Close").click();
        record("request 1", "replied to — done")
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("the message as sent"))
                .click();
        Locator story = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Replies to " + TEACHER));
        assertThat(story.getByRole(AriaRole.LISTITEM)).hasCount(4);
        button("Show the source").click();
        assertThat(page.getByText("Auto-Submitted: auto-replied")).isVisible();
    }

    @Test
    @Order(3)
    void aFormsMailIsAnsweredAtTheAddressInItsText() {
        page.navigate(Demo.ADDRESS + "/rules/new");
        type("add a value to sender", FORM);
        newStep("reply to its sender");
        page.getByLabel("Text", new Page.GetByLabelOptions().setExact(true)).fill("Thank you for your question.");
        choose("where the reply goes", "whom a web form names");
        type("add the sender of a form", FORM);
        choose("when it goes out", "at once");
        switchOn();
        send(FORM, "visits@ostrel-gardens.example", "Contact form", "Name: Per\nE-mail: per@postbox.example\nHello");
        Locator answers = mailOf("per@postbox.example").getByRole(AriaRole.LISTITEM);
        assertThat(answers).hasCount(1);
        answers.first().click();
        assertThat(page.getByText("To: per@postbox.example")).isVisible();
    }

    @Test
    @Order(4)
    void oneMessageIsForwardedAndRedirectedAndBothAreSeenBeforehand() {
        page.navigate(Demo.ADDRESS + "/rules/new");
        type("add a value to words", "guided visit");
        newStep("forward it: a new message from you");
        type("add an address to forward to", "duty@ostrel-gardens.example");
        button("See what recipients see …").click();
        Locator redirected = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("redirected"));
        assertThat(redirected).containsText("Nothing: it is the same message.");
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("forwarded")))
                .containsText("from:");
        button("Close").click();
        newStep("redirect it: the same message, untouched");
        type("add an address to redirect to", "noor@ostrel-gardens.example");
        button("Will it arrive?").click();
        assertThat(page.getByText("Of what is picked,")).isVisible();
        switchOn();
        send("Ada <ada@postbox.example>", "visits@ostrel-gardens.example", "guided visit in June", "for 12");
        mailOf("duty@ostrel-gardens.example")
                .getByText("Fwd: guided visit in June")
                .first()
                .click();
        assertThat(page.getByText("Auto-Submitted: auto-generated")).isVisible();
        button("Close").click();
        mailOf("noor@ostrel-gardens.example")
                .getByText("guided visit in June")
                .first()
                .click();
        assertThat(page.getByText("Resent-From:")).isVisible();
    }
}
