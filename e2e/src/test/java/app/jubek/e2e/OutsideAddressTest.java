package app.jubek.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** An address outside is asked, agrees on its own page, gets what waited, and stops it later. */
class OutsideAddressTest extends Journey {
    private static final String VISITS = "visits@ostrel-gardens.example";
    private static final String GROUNDS = "grounds@ostrel-gardens.example";
    private static final String LINA = "lina@parish-paper.example";

    @Test
    void anOutsideAddressAgreesGetsWhatWaitedAndStopsItLater() {
        page.navigate(Demo.ADDRESS + "/rules/new");
        type("add a value to words", "harvest supper");
        newStep("forward it: a new message from you");
        type("add an address to forward to", LINA);
        assertThat(page.getByText("When you save, it is asked whether it wants this mail"))
                .isVisible();
        choose("when it goes out", "at once");
        switchOn();
        send("Rune <rune@postbox.example>", VISITS, "harvest supper one", "Shall we print it?");
        assertThat(record("harvest supper one", "to be forwarded")).containsText("has not agreed to get mail");
        goTo("Rules");
        assertThat(page.getByText("sends nothing yet: waiting for " + LINA)).isVisible();

        assertThat(findings(page)).as("Rules").isEmpty();
        for (String place : List.of("Desk", "Address book")) {
            goTo(place);
            assertThat(page.getByText(LINA).first()).isVisible();
            settled();
            assertThat(findings(page)).as(place).isEmpty();
        }

        Page answering = pageOfRequest(LINA);
        assertThat(answering.getByText("Mail with “harvest supper”")).isVisible();
        assertThat(findings(answering)).as("the page of a request").isEmpty();
        answering
                .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("I agree"))
                .click();
        assertThat(answering.getByText("You agreed on")).isVisible();
        assertThat(record("harvest supper one", "forwarded to " + LINA + " — done"))
                .isVisible();
        goTo("Outside");
        assertThat(mailOf(LINA).getByText("Fwd: harvest supper one")).isVisible();

        answering
                .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Stop this mail"))
                .click();
        assertThat(answering.getByText("You declined on")).isVisible();
        answering.close();
        send("Rune <rune@postbox.example>", VISITS, "harvest supper two", "And this one?");
        assertThat(record("harvest supper two", "to be forwarded")).containsText("the destination declined");
        goTo("Address book");
        assertThat(page.getByText("declined on")).isVisible();
    }

    /** The page moves the clock forward only; other journeys want today's mail to be today's. */
    @AfterEach
    void realTime() {
        Demo.clockAtRealTime();
        goTo("Outside");
        assertThat(page.getByText("(moved by")).isHidden();
    }

    @Test
    void aColleagueIsToldOfTheMailAndObjects() {
        page.navigate(Demo.ADDRESS + "/rules/new");
        type("add a value to words", "lawn party");
        newStep("redirect it: the same message, untouched");
        type("add an address to redirect to", GROUNDS);
        switchOn();
        send("Rune <rune@postbox.example>", VISITS, "lawn party one", "May we?");
        assertThat(record("lawn party one", "redirected to " + GROUNDS + " — done"))
                .isVisible();

        goTo("Outside");
        button("+1 hour").click();
        Page told = pageFrom(GROUNDS, "For your information: mail from");
        assertThat(told.getByText("Mail with “lawn party”")).isVisible();
        assertThat(findings(told)).as("the page of a colleague").isEmpty();
        told.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("I do not want this mail"))
                .click();
        assertThat(told.getByText("You objected on")).isVisible();
        told.close();
        goTo("Rules");
        assertThat(page.getByText("sends nothing yet: waiting for " + GROUNDS)).isVisible();
        goTo("Address book");
        assertThat(page.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText(GROUNDS)))
                .containsText("objected on");
    }
}
