package app.jubek.server;

import static app.jubek.core.step.StepState.DISCARDED;
import static app.jubek.core.step.StepState.READY;
import static app.jubek.core.step.StepState.SENT;
import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.plan.PlannedPhrase;
import app.jubek.core.plan.StepNote;
import app.jubek.core.step.StepState;
import app.jubek.core.wording.Statement;
import app.jubek.server.step.StepView;
import app.jubek.server.step.StepView.Act;
import app.jubek.server.step.Work;
import jakarta.mail.Flags;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** What was handed on and filed comes back into sight, unless somebody dealt with it. */
class FollowUpTest extends ServerTest {
    private static final String GUIDES = "guides@ostrel-gardens.example";

    private void followsUp(String rule, String word) {
        rules(rule(
                rule,
                word,
                "continue",
                step("{'do':'forward','to':['" + GUIDES + "']}"),
                step("{'do':'file','folder':'" + word + "'}"),
                step("{'do':'follow up','workingDays':2}")));
    }

    private StepView step(String rule, Work kind) {
        return steps(rule).stream()
                .filter(step -> step.kind() == kind)
                .findFirst()
                .orElseThrow();
    }

    private void handedOn(String rule, String word) {
        followsUp(rule, word);
        mail("anna@blomskola.example", "", "<" + word + "@blomskola.example>", word);
        await(rule + " has handed on and filed", () -> steps(rule).size() == 3 && allBut(rule, Work.FOLLOW_UP));
    }

    private boolean allBut(String rule, Work kind) {
        return steps(rule).stream().filter(step -> step.kind() != kind).allMatch(step -> step.state() == SENT);
    }

    /** To the mailbox. */
    private static void mail(String from, String more, String messageId, String subject) {
        send(
                from,
                World.VISITS,
                ("From: " + from + "\r\nTo: " + World.VISITS + "\r\nSubject: " + subject + "\r\nMessage-ID: "
                                + messageId + "\r\n" + more + "\r\nx\r\n")
                        .getBytes(StandardCharsets.US_ASCII));
    }

    private String forwarded(String rule) {
        return jdbc.sql("select outgoing_id from step where id = ?")
                .param(step(rule, Work.FORWARD).id())
                .query(String.class)
                .single();
    }

    private void isTime(String rule) {
        jdbc.sql("update step set release_at = now() - interval '1 second' where id = ?")
                .param(step(rule, Work.FOLLOW_UP).id())
                .update();
    }

    private void ends(String rule, StepState state, Statement why) {
        await(
                rule + " ends",
                () -> steps(rule).stream()
                        .anyMatch(step -> step.kind() == Work.FOLLOW_UP
                                && step.state() == state
                                && step.because().filter(why::equals).isPresent()));
    }

    private List<StepView> onTheDesk(String rule) {
        return outbox.broughtBack(mailbox, Instant.EPOCH, 100).stream()
                .filter(step -> step.rule().equals(rule))
                .toList();
    }

    @Test
    void whatNobodyDealtWithComesBackUnreadAndFlaggedAndStandsOnTheDesk() {
        handedOn("forgotten", "zinnia");
        StepView waiting = step("forgotten", Work.FOLLOW_UP);
        assertThat(waiting.state()).isEqualTo(READY);
        assertThat(waiting.releaseAt().orElseThrow()).isAfter(waiting.plannedAt());
        assertThat(waiting.acts()).containsExactly(Act.DEALT_WITH, Act.BRING_BACK);
        assertThat(isBack("zinnia")).isFalse();
        isTime("forgotten");
        ends("forgotten", SENT, StepNote.NOBODY_DEALT_WITH_IT.with());
        assertThat(isBack("zinnia")).isTrue();
        StepView back = onTheDesk("forgotten").get(0);
        assertThat(back.done().is(PlannedPhrase.BROUGHT_BACK)).isTrue();
        outbox.act(mailbox, back.id(), Act.DEALT_WITH, "Ilse Varga");
        assertThat(onTheDesk("forgotten")).isEmpty();
    }

    /** An automatic reply is nobody, and a sender who writes again waits still. */
    @Test
    void aColleaguesAnswerToTheForwardDealsWithItButNoMachinesAndNotTheSendersOwn() {
        handedOn("answered", "zelkova");
        String forward = forwarded("answered");
        mail(GUIDES, "In-Reply-To: " + forward + "\r\nAuto-Submitted: auto-replied\r\n", "<away@x.example>", "Away");
        mail("anna@blomskola.example", "References: <zelkova@blomskola.example>\r\n", "<2@blomskola.example>", "Well?");
        settled();
        assertThat(step("answered", Work.FOLLOW_UP).state()).isEqualTo(READY);
        mail(GUIDES, "References: <a@b.example> " + forward + "\r\n", "<done@x.example>", "Re: them");
        ends("answered", DISCARDED, StepNote.DEALT_WITH_BY.with(GUIDES));
        assertThat(onTheDesk("answered")).isEmpty();
        assertThat(isBack("zelkova")).isFalse();
    }

    @Test
    void anAnswerFromTheFolderOfSentMailDealsWithIt() {
        handedOn("from-here", "zephyranthes");
        lay("Sent", "Re: zephyranthes", "In-Reply-To:\r\n <zephyranthes@blomskola.example>\r\n");
        ends("from-here", DISCARDED, StepNote.DEALT_WITH_FROM_HERE.with());
    }

    @Test
    void aPersonBringsItBackAtOnce() {
        handedOn("at-once", "zantedeschia");
        outbox.act(mailbox, step("at-once", Work.FOLLOW_UP).id(), Act.BRING_BACK, "Ilse Varga");
        await(
                "it is back",
                () -> isBack("zantedeschia") && step("at-once", Work.BRING_BACK).state() == SENT);
        assertThat(step("at-once", Work.BRING_BACK).because()).contains(StepNote.BROUGHT_BACK_BY_PERSON.with());
        assertThat(onTheDesk("at-once")).as("the person knows").isEmpty();
    }

    /** Whoever has the forward says so on its page; looking at it says nothing. */
    @Test
    void whatIsNotForWhoGotItComesBackAtOnceAndStandsOnTheDesk() {
        handedOn("not-mine", "zebrina");
        String page = page("zebrina");
        Browser anybody = new Browser(port);
        assertThat(anybody.get(page).get("followUp").asString()).isEqualTo("OPEN");
        say(anybody, page, "NOT_FOR_ME");
        await("it is back", () -> isBack("zebrina") && !onTheDesk("not-mine").isEmpty());
        StepView told = onTheDesk("not-mine").get(0);
        assertThat(told.because()).contains(StepNote.NOT_FOR.with(GUIDES));
        assertThat(told.acts()).containsExactly(Act.DEALT_WITH);
        assertThat(told.state()).isEqualTo(SENT);
        assertThat(anybody.get(page).get("followUp").asString()).isEqualTo("BACK");
    }

    @Test
    void whoeverGotItSaysThatItIsDealtWith() {
        handedOn("done", "zephyr");
        String page = page("zephyr");
        say(new Browser(port), page, "DEALT_WITH");
        ends("done", DISCARDED, StepNote.SAID_TO_BE_DEALT_WITH.with(GUIDES));
        assertThat(new Browser(port).get(page).get("followUp").asString()).isEqualTo("DEALT_WITH");
        assertThat(new Browser(port)
                        .send("GET", page.replaceFirst(".$", "g"), "", "application/json")
                        .statusCode())
                .isEqualTo(404);
    }

    private static void say(Browser who, String page, String what) {
        who.get(page);
        assertThat(who.send("POST", page, "{\"said\":\"" + what + "\"}", "application/json")
                        .statusCode())
                .isEqualTo(200);
    }

    /** Of the forward with a word in its subject. */
    private static String page(String word) {
        return mail(GUIDES, "INBOX").stream()
                .filter(mail -> mail.contains("Subject: Fwd: " + word))
                .flatMap(mail ->
                        Pattern.compile("/handed-on/[0-9a-f]{64}").matcher(mail).results())
                .map(found -> "/api" + found.group())
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aMessageMarkedAsAnsweredStaysWhereItIs() {
        handedOn("marked", "zamia");
        inFolder(World.VISITS, "zamia", messages -> {
            messages[0].setFlag(Flags.Flag.ANSWERED, true);
            return 1;
        });
        isTime("marked");
        ends("marked", DISCARDED, StepNote.DEALT_WITH_FROM_HERE.with());
        assertThat(isBack("zamia")).isFalse();
    }

    @Test
    void whatComesBackAsItCouldNotBeHandedOnComesBackOnce() {
        rules(rule(
                "bounced",
                "zinnwaldite",
                "continue",
                step("{'do':'forward','to':['gone.guide@ostrel-gardens.example']}"),
                step("{'do':'follow up','workingDays':2}")));
        write("bo@blomskola.example", World.VISITS, "zinnwaldite", "x");
        ends("bounced", DISCARDED, StepNote.CAME_BACK_BEFORE.with());
        await("it is back", () -> isBack("zinnwaldite"));
    }
}
