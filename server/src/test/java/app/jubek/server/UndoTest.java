package app.jubek.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.plan.UndoObstacle;
import app.jubek.core.step.StepState;
import app.jubek.server.step.StepView;
import app.jubek.server.step.Work;
import jakarta.mail.Flags;
import jakarta.mail.Folder;
import jakarta.mail.Message;
import java.util.Date;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What was done in a mailbox is undone by a person, and nothing else is touched. */
class UndoTest extends ServerTest {
    private Browser browser;

    @BeforeEach
    void signedIn() {
        browser = new Browser(port).signedIn("ilse", "greenhouse");
    }

    private JsonNode asked(String path, List<StepView> steps) {
        String ids = steps.stream().map(step -> "\"" + step.id() + "\"").collect(Collectors.joining(","));
        return browser.post("/api/mailboxes/" + mailbox + path, "{\"steps\":[" + ids + "]}");
    }

    private List<StepView> done(String rule, int steps) {
        await(
                "all is done",
                () -> steps(rule).size() == steps
                        && steps(rule).stream().allMatch(step -> step.state() == StepState.SENT));
        return steps(rule);
    }

    private static List<Date> dates(String folder, String subject) {
        return inFolder(World.VISITS, folder, messages -> {
            List<Date> dates = new java.util.ArrayList<>();
            for (Message message : messages) {
                if (subject.equals(message.getSubject())) {
                    dates.add(message.getReceivedDate());
                }
            }
            return dates;
        });
    }

    @Test
    void marksCopyAndFolderAreAsTheyWereAndNothingIsDoneASecondTime() {
        String subject = "undo all of this";
        rules(rule(
                "undone",
                subject,
                "stop here",
                step("{'do':'mark','flags':['\\\\Flagged','$Label1']}"),
                step("{'do':'copy','folder':'Copies for undo'}"),
                step("{'do':'file','folder':'Filed for undo'}")));
        write("anna@school.example", World.VISITS, subject, "x");
        List<StepView> done = done("undone", 3);
        List<Date> arrived = dates("Filed for undo", subject);
        JsonNode used = uses("undone");

        JsonNode preview = asked("/undo/preview", done);
        assertThat(preview.get("can")).hasSize(3);
        assertThat(preview.get("cannot")).isEmpty();
        assertThat(asked("/undo", done).get("steps").intValue()).isEqualTo(3);
        await(
                "all is undone",
                () -> steps("undone").stream()
                                .filter(step -> step.state() == StepState.UNDONE)
                                .count()
                        == 3);

        assertThat(dates("INBOX", subject)).isEqualTo(arrived).hasSize(1);
        assertThat(flags(World.VISITS, "INBOX", subject)).singleElement().satisfies(flags -> {
            assertThat(flags.contains(Flags.Flag.FLAGGED)).isFalse();
            assertThat(flags.contains("$Label1")).isFalse();
        });
        assertThat(dates("Filed for undo", subject)).isEmpty();
        assertThat(dates("Copies for undo", subject)).isEmpty();
        settled();
        assertThat(steps("undone"))
                .hasSize(6)
                .filteredOn(step -> step.kind() == Work.UNDO)
                .hasSize(3);
        assertThat(asked("/undo/preview", done).at("/cannot/0/why/code").stringValue())
                .isEqualTo(UndoObstacle.ALREADY_UNDONE.id());
        assertThat(uses("undone")).as("the rule acted when it did").isEqualTo(used);
    }

    private JsonNode uses(String rule) {
        return browser.get("/api/mailboxes/" + mailbox + "/uses")
                .valueStream()
                .filter(use -> use.get("rule").stringValue().equals(rule))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void whatSomebodyMovedSinceOrWhatHasLeftIsSaidAndLeftAlone() {
        String subject = "moved by hand later";
        rules(rule(
                "left-alone",
                subject,
                "stop here",
                step("{'do':'forward','to':['education@ostrel-gardens.example']}"),
                step("{'do':'file','folder':'Before by hand'}")));
        write("anna@school.example", World.VISITS, subject, "x");
        List<StepView> done = done("left-alone", 2);
        inFolder(World.VISITS, "Before by hand", messages -> {
            Folder from = messages[0].getFolder();
            Folder into = from.getStore().getFolder("After by hand");
            into.create(Folder.HOLDS_MESSAGES);
            from.copyMessages(messages, into);
            messages[0].setFlag(Flags.Flag.DELETED, true);
            from.expunge();
            return 0;
        });

        assertThat(asked("/undo/preview", done).get("cannot"))
                .extracting(refused -> refused.at("/why/code").stringValue())
                .containsExactlyInAnyOrder(UndoObstacle.HAS_LEFT.id(), UndoObstacle.MOVED_OR_DELETED_SINCE.id());
        asked("/undo", done);
        await(
                "it was tried",
                () -> steps("left-alone").stream()
                        .anyMatch(step -> step.kind() == Work.UNDO && step.state() == StepState.DISCARDED));
        assertThat(dates("After by hand", subject)).hasSize(1);
        assertThat(steps("left-alone"))
                .filteredOn(step -> step.state() == StepState.UNDONE)
                .isEmpty();
    }

    @Test
    void whatWasTakenOutOfJunkLiesThereAsBeforeAndIsNotTakenOutAgain() {
        String subject = "junk and back again";
        lay("Junk", "what lay in junk before");
        rules(rule(
                "junk-undone",
                "junk and back",
                "stop here",
                step("{'do':'out of junk'}"),
                step("{'do':'mark','flags':['\\\\Flagged']}")));
        write("anna@school.example", World.VISITS, "junk and back is looked into", "x");
        List<StepView> inInbox = done("junk-undone", 1);
        lay("Junk", subject);
        List<StepView> taken = done("junk-undone", 3).stream()
                .filter(step -> !inInbox.contains(step))
                .toList();
        assertThat(dates("INBOX", subject)).hasSize(1);
        asked("/undo", taken);
        await(
                "both are undone",
                () -> steps("junk-undone").stream()
                                .filter(step -> step.state() == StepState.UNDONE)
                                .count()
                        == 2);
        assertThat(flags(World.VISITS, "Junk", subject)).singleElement().satisfies(flags -> {
            assertThat(flags.getUserFlags()).isEmpty();
            assertThat(flags.contains(Flags.Flag.FLAGGED)).isFalse();
        });
        lay("Junk", "junk and back once more");
        await(
                "junk was looked into",
                () -> !dates("INBOX", "junk and back once more").isEmpty());
        assertThat(dates("INBOX", subject)).isEmpty();
    }

    /** A copy that a person has made before is theirs. */
    @Test
    void ofTwoCopiesOnlyItsOwnIsRemoved() {
        String subject = "copied twice";
        rules(rule("copied", subject, "stop here", step("{'do':'copy','folder':'Copied twice'}")));
        write("anna@school.example", World.VISITS, subject, "x");
        List<StepView> done = done("copied", 1);
        inFolder(World.VISITS, "INBOX", messages -> {
            for (Message message : messages) {
                if (subject.equals(message.getSubject())) {
                    message.getFolder()
                            .copyMessages(
                                    new Message[] {message},
                                    message.getFolder().getStore().getFolder("Copied twice"));
                }
            }
            return 0;
        });
        asked("/undo", done);
        await("it is undone", () -> steps("copied").stream().anyMatch(step -> step.state() == StepState.UNDONE));
        assertThat(dates("Copied twice", subject)).hasSize(1);
    }
}
