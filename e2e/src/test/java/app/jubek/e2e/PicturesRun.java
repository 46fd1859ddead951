package app.jubek.e2e;

import static java.nio.charset.StandardCharsets.UTF_8;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.file.Path;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Takes the pictures of docs/screenshots anew, by bin/pictures. */
class PicturesRun extends Journey {
    private static final String PORTER = "porter@ostrel-gardens.example";
    private static final String EDITOR = "editor@parish-paper.example";

    @Test
    void everyPlace() {
        send(
                "Anna Sjövik <anna.sjovik@norrskola.example>",
                "visits@ostrel-gardens.example",
                "Class booking for 12 May",
                "24 pupils, two in wheelchairs.");
        send(
                "Bram Nygardh <bram@letterbox.example>",
                "photos@ostrel-gardens.example",
                "Wedding pictures: photo permit?",
                "We would be six people.");
        goTo("Templates");
        button("New").click();
        page.getByLabel("Name of the template").fill("School visits: how to book");
        page.getByLabel("Subject (empty").fill("Your visit to Ostrel Gardens");
        page.getByLabel("Text", new Page.GetByLabelOptions().setExact(true))
                .fill("Dear {{sender.firstName}},\n\nguided visits for classes take place on Tuesdays and Thursdays."
                        + " Please send us three dates, the number of pupils and their age.\n\nThe visits desk");
        page.getByLabel("instead of the sender’s first name").fill("visitor");
        button("Rich text: none").click();
        page.getByLabel("Signature, under the text").fill("Ilse Varga\nThe visits desk, Ostrel Gardens");
        page.getByLabel("file for Attached documents")
                .setInputFiles(new FilePayload("Prices for classes.txt", "text/plain", "free".getBytes(UTF_8)));
        page.getByLabel("Take out Prices for classes.txt").waitFor();
        button("Save").click();
        settled();
        PLACES.forEach((name, path) -> {
            visit(path);
            picture(name);
        });
        visit("/templates");
        page.getByText("School visits: how to book").click();
        page.getByText("with Prices for classes.txt").waitFor();
        settled();
        picture("templates");
        visit("/incoming?view=messages");
        page.getByText("Class booking for 12 May").first().click();
        settled();
        picture("message");
        visit("/rules/photo-permits");
        button("Try a sample message …").click();
        page.getByText("The reply").waitFor();
        agreement();
        handedOn();
        waiting();
        trials();
        composed();
        catchUp();
        addressBook();
        timetable();
        whereMailGoes();
    }

    private void agreement() {
        visit("/rules/new");
        type("add a value to words", "parish paper");
        newStep("forward it: a new message from you");
        type("add an address to forward to", EDITOR);
        switchOn();
        Page agreement = pageOfRequest(EDITOR);
        agreement.getByText("Nothing comes before you agree.").waitFor();
        picture(agreement, "agreement");
    }

    private void handedOn() {
        visit("/rules/new");
        type("add a value to words", "lost umbrella");
        newStep("forward it: a new message from you");
        type("add an address to forward to", PORTER);
        newStep("bring it back if nobody deals with it");
        switchOn();
        send("Malin Ekstam <malin@postbox.example>", "visits@ostrel-gardens.example", "lost umbrella", "It is red.");
        Page forward = pageFrom(PORTER, "Fwd: lost umbrella");
        forward.getByText("would like to know what becomes of it").waitFor();
        picture(forward, "handed-on");
    }

    private void waiting() {
        visit("/rules/new");
        type("add a value to words", "engagement pictures");
        newStep("reply to its sender");
        page.getByLabel("Text", new Page.GetByLabelOptions().setExact(true))
                .fill("Hello,\n\ncongratulations! Small pictures for yourself need no permit.\n\nThe visits desk");
        page.getByLabel("Name of the rule").fill("Engagement pictures");
        switchOn();
        for (String who : List.of("Rune Oskarsen <rune@postbox.example>", "Lucie Ekstam <lucie@postbox.example>")) {
            send(
                    who,
                    "visits@ostrel-gardens.example",
                    "Engagement pictures in the palm house",
                    "Hello,\n\nmay we take engagement pictures in the palm house on Sunday?\n\nKind regards");
        }
        goTo("Records");
        button("Waiting").click();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Engagement pictures in the palm house"))
                .first()
                .click();
        page.getByText("congratulations!").waitFor();
        settled();
        picture("waiting");
    }

    private void trials() {
        for (String rule : List.of("Photo permits: how to apply", "School visits to the education desk")) {
            visit("/trials");
            page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName(rule))
                    .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Keep all")))
                    .click();
            page.getByText("kept for “" + rule).waitFor();
        }
        visit("/rules/photo-permits");
        type("add a value to words", "photo shoot");
        button("Remove permit").click();
        button("Save").click();
        button("Switch on all the same").click();
        page.getByText("is on.").first().waitFor();
        visit("/trials");
        picture("trials");
        visit("/trials/rehearsal");
        page.getByLabel("“School visits to the education desk” paused").check();
        page.getByLabel("“Glasshouse alarms to whoever is on duty” paused").check();
        button("Rehearse").click();
        page.getByText("stay as they are").waitFor();
        settled();
        picture("rehearsal");
    }

    private void composed() {
        visit("/rules/new");
        type("add a value to words", "herbarium");
        newStep("reply to its sender");
        page.getByLabel("Text", new Page.GetByLabelOptions().setExact(true))
                .fill("Hello,\n\nthe herbarium is open for visitors on Wednesdays from 10 to 16."
                        + " Please write us two days ahead.\n\nThe visits desk\nOstrel Gardens");
        choose("when it goes out", "composed from the message, once somebody approves it");
        page.getByLabel("Instruction for composing it").fill("Answer what the message asks, with what the reply says.");
        page.getByLabel("Name of the rule").fill("Visits to the herbarium");
        button("Try it on past messages").click();
        page.getByText("nothing to try it on").waitFor();
        switchOn();
        send(
                "Sanna Ekstam <sanna@postbox.example>",
                "visits@ostrel-gardens.example",
                "A visit to the herbarium",
                "Hello,\n\nmay I look at the ferns in your herbarium? Is Wednesday 9 December possible?\n\nSanna Ekstam");
        goTo("Records");
        button("Waiting").click();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("A visit to the herbarium"))
                .first()
                .click();
        page.getByText("Composed from the message by").waitFor();
        settled();
        picture("composed-reply");
    }

    private void whereMailGoes() {
        visit("/rules/new");
        type("add a value to words", "guided tour");
        newStep("forward it: a new message from you");
        type("add an address to forward to", "noor@ostrel-gardens.example");
        type("add an address to forward to", "malik@ostrel-gardens.example");
        page.getByLabel("Name of the rule").fill("Guided tours to both guides");
        switchOn();
        visit("/rules?view=where-mail-goes");
        page.getByText("What it sends comes back").waitFor();
        picture("where-mail-goes");
    }

    private void timetable() {
        LocalDate monday = LocalDate.now().with(TemporalAdjusters.next(DayOfWeek.MONDAY));
        visit("/rules/new");
        type("add a value to words", "winter closure");
        newStep("file it in a folder");
        page.getByLabel("Folder", new Page.GetByLabelOptions().setExact(true)).fill("Winter");
        page.getByLabel("Name of the rule").fill("Winter closure");
        button("on certain days …").click();
        page.getByLabel("from", new Page.GetByLabelOptions().setExact(true)).fill(monday.toString());
        page.getByLabel("until", new Page.GetByLabelOptions().setExact(true))
                .fill(monday.plusDays(16).toString());
        switchOn();
        visit("/rules/new");
        type("add a value to words", "night alarm");
        newStep("file it in a folder");
        page.getByLabel("Folder", new Page.GetByLabelOptions().setExact(true)).fill("Alarms at night");
        page.getByLabel("Name of the rule").fill("Alarms while the desk is closed");
        choose("active", "outside “Ticket desk”");
        switchOn();
        visit("/timetable");
        page.getByText("Alarms while the desk is closed").waitFor();
        button("I’ll be away …").click();
        page.getByLabel("first day", new Page.GetByLabelOptions().setExact(true))
                .fill(monday.plusDays(14).toString());
        page.getByLabel("last day", new Page.GetByLabelOptions().setExact(true))
                .fill(monday.plusDays(20).toString());
        choose("add an answer", "New answer in German");
        choose("add an answer", "New answer in English");
        page.getByLabel("stands in").fill("noor@ostrel-gardens.example");
        choose("what is handed over", "all mail");
        page.getByText("would have been handed over").waitFor();
        settled();
        picture("timetable");
    }

    private void addressBook() {
        visit("/address-book");
        page.getByText("has not answered").waitFor();
        settled();
        picture("address-book");
    }

    private void catchUp() {
        visit("/records/catch-ups?rule=seed-exchange");
        button("Look it over").click();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Catch up on")))
                .waitFor();
        settled();
        picture("catch-up");
        button("Discard").click();
    }

    private void picture(String name) {
        picture(page, name);
    }

    private static void picture(Page page, String name) {
        page.screenshot(new Page.ScreenshotOptions().setPath(Path.of("../docs/screenshots/" + name + ".png")));
    }
}
