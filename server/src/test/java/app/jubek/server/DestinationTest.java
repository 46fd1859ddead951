package app.jubek.server;

import static app.jubek.core.step.StepState.HELD;
import static app.jubek.core.step.StepState.SENT;
import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.address.MailAddress;
import app.jubek.core.people.Agreement;
import app.jubek.core.plan.Reason;
import app.jubek.core.step.StepState;
import app.jubek.server.agreement.StoredAgreements;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** A destination outside is asked, and gets nothing before it agrees, nor after it stops. */
class DestinationTest extends ServerTest {
    private static final Pattern PAGE = Pattern.compile("https://jubek\\.ostrel-gardens\\.example/agree/([\\w-]+)");
    private static final Pattern FOOT =
            Pattern.compile("https://jubek\\.ostrel-gardens\\.example/handed-on/([0-9a-f]+)");
    private static final Pattern CODE = Pattern.compile("code to agree: ([A-Z0-9-]+)");

    @Autowired
    private StoredAgreements agreements;

    private String address(String name) {
        return name + "-" + UUID.randomUUID().toString().substring(0, 6) + "@postbox.example";
    }

    private void forward(String id, String word, String to) {
        rules(rule(id, word, "continue", step("{'do':'forward','to':['" + to + "']}")));
    }

    private String asked(String address) {
        await("it is asked", () -> !mail(address, "INBOX").isEmpty());
        return inFolder(address, "INBOX", messages -> messages[0].getContent().toString());
    }

    private String token(String address, int message) {
        return in(
                PAGE,
                inFolder(
                        address,
                        "INBOX",
                        messages -> messages[message].getContent().toString()));
    }

    private static String in(Pattern pattern, String text) {
        return pattern.matcher(text)
                .results()
                .map((MatchResult found) -> found.group(1))
                .findFirst()
                .orElseThrow(() -> new AssertionError(pattern + " is not in\n" + text));
    }

    private HttpResponse<String> answer(String token, boolean agrees) {
        Browser nobody = new Browser(port);
        nobody.get("/api/agreement/" + token);
        return nobody.send("POST", "/api/agreement/" + token, "{\"agrees\":" + agrees + "}", "application/json");
    }

    private StoredAgreements.Destination destination(String address) {
        return agreements.all(mailbox).stream()
                .filter(each -> each.address().address().equals(address))
                .findFirst()
                .orElseThrow();
    }

    /** What was asked and told before counts no more. */
    private void yesterday() {
        jdbc.sql("update agreement_request set sent_at = sent_at - interval '1 day'")
                .update();
    }

    private void awaitState(String rule, StepState state) {
        await(rule + " is " + state, () -> steps(rule).stream().anyMatch(step -> step.state() == state));
    }

    @Test
    void aColleagueIsToldOnceGetsMailAtOnceAndNoMoreAfterAnObjection() {
        String noor = "noor-" + UUID.randomUUID().toString().substring(0, 6) + "@ostrel-gardens.example";
        yesterday();
        rules(rule("paused", "medlar", "continue", step("{'do':'redirect','to':['" + noor + "']}"))
                .replace("\"on\":true", "\"on\":false"));
        forward("told", "medlar", noor);
        assertThat(mail(noor, "INBOX")).as("a new rule may be put right first").isEmpty();
        due(noor, "request_due_at");
        assertThat(asked(noor)).contains("medlar", "If you do not want it");
        String token = token(noor, 0);
        write("anna@school.example", World.VISITS, "medlar one", "x");
        await("it left", () -> mail(noor, "INBOX").stream().anyMatch(m -> m.contains("Fwd: medlar one")));

        assertThat(answer(token, false).statusCode()).isEqualTo(200);
        assertThat(destination(noor).state()).isEqualTo(Agreement.OBJECTED);
        write("anna@school.example", World.VISITS, "medlar two", "x");
        awaitState("told", HELD);
        assertThat(answer(token, true).statusCode()).as("having thought again").isEqualTo(200);
        await("it left, too", () -> mail(noor, "INBOX").stream().anyMatch(m -> m.contains("Fwd: medlar two")));

        forward("told-again", "medlar wine", noor);
        assertThat(mail(noor, "INBOX").stream().filter(m -> m.contains("For your information")))
                .as("told once")
                .hasSize(1);
    }

    @Test
    void whatWaitsLeavesOnAgreementAndNothingAfterAStop() {
        String mara = address("mara");
        forward("agree", "quince", mara);
        String request = asked(mara);
        assertThat(request).contains("quince", "less than one message a week");
        assertThat(mail(mara, "INBOX").get(0)).contains("Auto-Submitted: auto-generated", "From: Visits desk");
        write("anna@school.example", World.VISITS, "quince one", "x");
        awaitState("agree", HELD);
        String token = in(PAGE, request);

        for (int i = 0; i < 3; i++) {
            new Browser(port).send("GET", "/api/agreement/" + token, "", "application/json");
        }
        assertThat(destination(mara).state())
                .as("opening a link agrees to nothing")
                .isEqualTo(Agreement.ASKED);

        assertThat(answer(token, true).statusCode()).isEqualTo(200);
        await("it left", () -> mail(mara, "INBOX").stream().anyMatch(m -> m.contains("Fwd: quince one")));
        assertThat(answer(token, true).statusCode()).as("once").isEqualTo(409);

        assertThat(answer(token, false).statusCode()).as("stopped later").isEqualTo(200);
        write("anna@school.example", World.VISITS, "quince two", "x");
        await(
                "it is held",
                () -> steps("agree").stream()
                        .anyMatch(step -> step.because()
                                .filter(Reason.DESTINATION_DECLINED.with(mara)::equals)
                                .isPresent()));
        assertThat(destination(mara).changes())
                .extracting(StoredAgreements.Change::event, StoredAgreements.Change::who)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple(Agreement.Event.DECLINED, mara),
                        org.assertj.core.groups.Tuple.tuple(Agreement.Event.AGREED, mara),
                        org.assertj.core.groups.Tuple.tuple(Agreement.Event.ASKED, "test"));
        assertThat(mail(mara, "INBOX")).noneMatch(m -> m.contains("quince two"));

        assertThat(answer(token, true).statusCode()).as("having thought again").isEqualTo(200);
        await("it left, too", () -> mail(mara, "INBOX").stream().anyMatch(m -> m.contains("Fwd: quince two")));
    }

    /** Forwards are quoted and passed on: whoever opens the page can't stop the mail of somebody else. */
    @Test
    void theFootOfAForwardLeadsToAStopThatTheAddressItselfConfirms() {
        String vera = address("vera");
        forward("foot", "hawthorn", vera);
        answer(in(PAGE, asked(vera)), true);
        write("anna@school.example", World.VISITS, "hawthorn", "x");
        await("it left", () -> mail(vera, "INBOX").size() == 2);
        String page =
                in(FOOT, inFolder(vera, "INBOX", all -> all[1].getContent().toString()));
        Browser anybody = new Browser(port);
        assertThat(anybody.get("/api/handed-on/" + page).get("mayStop").asBoolean())
                .isTrue();
        for (int i = 0; i < 3; i++) {
            anybody.send("POST", "/api/handed-on/" + page, "{\"said\":\"STOP\"}", "application/json");
        }
        await("the address is asked", () -> mail(vera, "INBOX").size() == 3);
        anybody.send("POST", "/api/handed-on/" + page, "{\"said\":\"STOP\"}", "application/json");
        assertThat(anybody.get("/api/handed-on/" + page).get("stopAsked").asBoolean())
                .as("once a day, whoever asks")
                .isTrue();
        assertThat(destination(vera).nextRequest().orElseThrow())
                .isAfter(Instant.now().plus(Duration.ofDays(300)));
        assertThat(destination(vera).state()).isEqualTo(Agreement.CONFIRMED);
        assertThat(answer(token(vera, 2), false).statusCode()).isEqualTo(200);
        assertThat(destination(vera).state()).isEqualTo(Agreement.DECLINED);
        assertThat(anybody.get("/api/handed-on/" + page).get("mayStop").asBoolean())
                .isFalse();
    }

    @Test
    void theCodeOfTheRequestAgreesAndAWrongOneDoesNot() {
        String oskar = address("oskar");
        forward("code", "medlar", oskar);
        String code = in(CODE, asked(oskar));
        Browser ilse = new Browser(port).signedIn("ilse", "greenhouse");
        String at = "/api/mailboxes/" + mailbox + "/destinations/"
                + destination(oskar).id() + "/code";
        assertThat(ilse.send("POST", at, "{\"code\":\"AAAA-AAAA\"}", "application/json")
                        .statusCode())
                .isEqualTo(422);
        assertThat(ilse.send("POST", at, "{\"code\":\"" + code.toLowerCase() + "\"}", "application/json")
                        .statusCode())
                .isEqualTo(200);
        assertThat(destination(oskar).state()).isEqualTo(Agreement.CONFIRMED);
    }

    @Test
    void whatCameInMoreThanADayBeforeIsLeftToAPerson() {
        String late = address("late");
        forward("late", "sorbus", late);
        asked(late);
        write("anna@school.example", World.VISITS, "sorbus", "x");
        awaitState("late", HELD);
        jdbc.sql("update message set received_at = received_at - interval '2 days' where id in"
                        + " (select message_id from step where rule_id = 'late')")
                .update();
        agreements.happened(destination(late).id(), Agreement.Event.VOUCHED_FOR, "Ilse Varga");
        await(
                "it is held for being late",
                () -> steps("late")
                        .get(0)
                        .because()
                        .filter(Reason.OVER_LATE.with()::equals)
                        .isPresent());
        outbox.act(mailbox, steps("late").get(0).id(), app.jubek.server.step.StepView.Act.SEND_NOW, "Ilse Varga");
        awaitState("late", SENT);
    }

    /** Its mail is accepted and comes back; the Desk and the address book tell of it before the third. */
    @Test
    void threeMessagesInARowThatDoNotGetThereEndTheAgreement() {
        String gone = "gone." + address("ulf");
        forward("unreached", "yarrow", gone);
        await(
                "it is known",
                () -> agreements.all(mailbox).stream()
                        .anyMatch(each -> each.address().address().equals(gone)));
        agreements.happened(destination(gone).id(), Agreement.Event.VOUCHED_FOR, "Ilse Varga");
        for (int i = 1; i <= Agreement.FAILURES; i++) {
            int sent = i;
            assertThat(destination(gone).failures()).isEqualTo(sent - 1);
            write("anna@school.example", World.VISITS, "yarrow " + sent, "x");
            await(
                    "message " + sent + " came back",
                    () -> steps("unreached").stream()
                                    .filter(step -> step.state() == StepState.FAILED)
                                    .count()
                            == sent);
        }
        assertThat(destination(gone).state()).isEqualTo(Agreement.LAPSED);
        assertThat(destination(gone).changes()).anyMatch(change -> change.event() == Agreement.Event.UNREACHED);
        write("anna@school.example", World.VISITS, "yarrow again", "x");
        awaitState("unreached", HELD);
    }

    @Test
    void anAgreementIsAskedForAgainBeforeItEndsAndThenEnds() {
        String vera = address("vera");
        forward("ends", "rowan", vera);
        asked(vera);
        agreements.happened(destinationId(vera), Agreement.Event.AGREED, vera);
        assertThat(destination(vera).nextRequest().orElseThrow())
                .as("two weeks before it ends")
                .isEqualTo(destination(vera).endsAt().orElseThrow().minus(Duration.ofDays(14)));
        due(vera, "request_due_at");
        await("it is asked again", () -> mail(vera, "INBOX").stream().anyMatch(m -> m.contains("Still all right?")));
        assertThat(destination(vera).state()).isEqualTo(Agreement.CONFIRMED);
        Instant first = destination(vera).endsAt().orElseThrow();
        assertThat(answer(token(vera, 0), true).statusCode())
                .as("what came before is answered")
                .isEqualTo(409);
        assertThat(answer(token(vera, 1), true).statusCode()).isEqualTo(200);
        assertThat(destination(vera).endsAt().orElseThrow()).isAfter(first);

        due(vera, "ends_at");
        assertThat(destination(vera).state()).as("at once").isEqualTo(Agreement.LAPSED);
        await("that is kept", () -> destination(vera).changes().get(0).event() == Agreement.Event.LAPSED);
        write("anna@school.example", World.VISITS, "rowan", "x");
        awaitState("ends", HELD);
    }

    /** For whoever opens no page; who has the request's Message-ID but not the address agrees to nothing. */
    @Test
    void oneWordByMailAgreesAndStops() {
        String lena = address("lena");
        forward("by-mail", "serviceberry", lena);
        asked(lena);
        write("anna@school.example", World.VISITS, "serviceberry one", "x");
        awaitState("by-mail", HELD);
        answerByMail("mallory@elsewhere.example", lena, "", "AGREE");
        answerByMail(lena, lena, "Auto-Submitted: auto-replied\r\n", "AGREE");
        answerByMail(lena, lena, "", "Who are you?");
        await(
                "they came in",
                () -> mail(World.VISITS, "INBOX").stream().anyMatch(mail -> mail.contains("Who are you?")));
        assertThat(destination(lena).state()).isEqualTo(Agreement.ASKED);

        answerByMail(lena, lena, "", "I agree");
        awaitState("by-mail", SENT);
        assertThat(destination(lena).changes().get(0).who()).isEqualTo(lena);
        answerByMail(lena, lena, "", "STOP");
        await("it is over", () -> destination(lena).state() == Agreement.DECLINED);
    }

    private void answerByMail(String from, String asked, String more, String text) {
        String id = inFolder(asked, "INBOX", messages -> messages[0].getHeader("Message-ID")[0]);
        String mail = "From: " + from + "\r\nTo: " + World.VISITS + "\r\nSubject: Re: May we?\r\nMessage-ID: <"
                + UUID.randomUUID() + "@postbox.example>\r\nIn-Reply-To: " + id + "\r\n" + more + "\r\n" + text
                + "\r\n";
        send(from, World.VISITS, mail.getBytes(StandardCharsets.UTF_8));
    }

    private void due(String address, String column) {
        jdbc.sql("update agreement set " + column + " = now() - interval '1 second' where address = ?")
                .param(address)
                .update();
    }

    @Test
    void hundredsOfRequestsByOnePersonAreThreeMessages() {
        String calm = address("calm");
        forward("calm", "hazel", calm);
        asked(calm);
        await("three were sent", () -> {
            agreements.askAgain(destinationId(calm), "Ilse Varga");
            return mail(calm, "INBOX").size() == 3;
        });
        for (int i = 0; i < 500; i++) {
            agreements.askAgain(destinationId(calm), "Ilse Varga");
        }
        await(
                "the next one waits for an hour",
                () -> jdbc.sql("select request_due_at > now() + interval '59 minutes' from agreement where address = ?")
                        .param(calm)
                        .query(Boolean.class)
                        .single());
        assertThat(mail(calm, "INBOX")).hasSize(3);
    }

    private UUID destinationId(String address) {
        return jdbc.sql("select id from agreement where address_key = ?")
                .param(MailAddress.of(address).key())
                .query(UUID.class)
                .single();
    }

    @Test
    void whatTheMailServerRefusesIsSaidAndNotTriedForEver() {
        World.get().office().bench().refuse("nobody@postbox.example", 550, 1);
        forward("refused", "sloe", "nobody@postbox.example");
        await("it is said", () -> destination("nobody@postbox.example").fault().isPresent());
        assertThat(destination("nobody@postbox.example").nextRequest()).isEmpty();
        assertThat(List.of(destination("nobody@postbox.example").state())).containsExactly(Agreement.ASKED);
    }
}
