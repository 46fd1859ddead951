package app.jubek.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** An answer is written once, seen on real mail, given to a rule, and read where it arrives. */
class TemplateTest extends Journey {
    private static final String MARA = "mara@postbox.example";

    private Locator text() {
        return page.getByLabel("Text", new Page.GetByLabelOptions().setExact(true));
    }

    private Locator preview() {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Preview"));
    }

    private void write(String name) {
        goTo("Templates");
        button("New").click();
        page.getByLabel("Name of the template").fill(name);
        page.getByLabel("Subject (empty").fill("About your voucher");
        text().fill("Dear ");
        button("the sender’s first name").click();
        assertThat(text()).hasText("Dear the sender’s first name");
        text().fill("Dear {{sender.firstName}},\nyour voucher of {{received.date}} is valid until 3 May 2020.");
    }

    @Test
    void aTemplateIsWrittenSeenOnRealMailAndReadWhereItArrives() {
        write("Vouchers");
        assertThat(preview()).containsText("The date “3 May 2020” has passed.");
        assertThat(preview()).containsText("If the sender’s first name is not known, the place stays empty");
        page.getByLabel("instead of the sender’s first name").fill("visitor");
        text().fill("Dear {{sender.firstName}},\nyour voucher of {{received.date}} is valid for a year.");
        assertThat(preview()).not().containsText("has passed");
        String first = preview().innerText();
        button("Earlier").click();
        assertThat(preview()).not().hasText(first);
        button("Save").click();
        assertThat(page.getByText("“Vouchers” is saved as version 1.")).isVisible();

        page.navigate(Demo.ADDRESS + "/rules/new");
        type("add a value to words", "garden voucher");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Does"))
                .click();
        button("+ another action").click();
        page.getByText("reply to its sender").click();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("the reply:"))
                .click();
        page.getByRole(AriaRole.MENUITEMRADIO, new Page.GetByRoleOptions().setName("Vouchers"))
                .click();
        choose("when it goes out", "at once");
        switchOn();

        send("Mara Lindqvist <" + MARA + ">", "visits@ostrel-gardens.example", "My garden voucher", "Is it valid?");
        Locator answer = mailOf(MARA).getByRole(AriaRole.LISTITEM);
        assertThat(answer).hasCount(1);
        answer.click();
        assertThat(page.getByText("Subject: About your voucher")).isVisible();
        button("Close").click();

        goTo("Templates");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Vouchers used by 1 rule"))
                .click();
        button("Remove …").click();
        button("Remove it").click();
        assertThat(page.getByText("It is used by")).isVisible();
    }
}
