package app.jubek.core.safety;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.Mails;
import app.jubek.core.address.MailAddress;
import app.jubek.core.people.Agreements;
import app.jubek.core.plan.Reason;
import app.jubek.core.plan.Refusal;
import app.jubek.core.step.AnswersTo;
import app.jubek.core.step.ReplyFrequency;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ReplyGuardTest {
    private final ReplyGuard guard = new ReplyGuard(Mails.HOPS);

    private List<Reason> against(String raw) {
        return against(raw, new ReplyGuard.Circumstances(Mails.VISITS, List.of(), false, AnswersTo.Header.RETURN_PATH));
    }

    private List<Reason> against(String raw, ReplyGuard.Circumstances at) {
        return guard.against(Mails.read(raw), at).stream().map(Refusal::reason).toList();
    }

    private static String person(String... fields) {
        return Mails.from("anna@school.example", "visit", "hello", fields);
    }

    @Test
    void anOrdinaryMessageOfAPersonMayBeAnswered() {
        assertThat(against(person())).isEmpty();
        assertThat(against(person("Auto-Submitted: no (a person wrote this)", "Precedence: first-class")))
                .isEmpty();
    }

    /** RFC 3834 §2 and §5; RFC 5230 §4.5 and §4.6; Precedence, spam marks and calendars are common practice. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Auto-Submitted: auto-replied | AUTOMATIC",
                "Auto-Submitted: (x) auto-generated; owner=me | AUTOMATIC",
                "List-Id: <a.example> | LIST",
                "list-unsubscribe: <mailto:a@b.example> | LIST",
                "Precedence: BULK | MASS_MAIL",
                "Precedence: junk | MASS_MAIL",
                "Precedence: list | MASS_MAIL",
                "X-Spam-Flag: YES | SPAM",
                "X-Spam-Status: Yes, score=9 | SPAM",
                "Content-Type: multipart/report; boundary=b | REPORT",
                "Content-Type: text/calendar | CALENDAR"
            })
    void aFieldThatForbidsAnAnswerIsSeen(String field, Reason reason) {
        assertThat(against(person(field))).containsExactly(reason);
    }

    /** RFC 5230 §4.6 names these local parts; those that refuse answers by name are common practice. */
    @ParameterizedTest
    @CsvSource({
        "MAILER-DAEMON,SYSTEM_SENDER",
        "owner-seeds,SYSTEM_SENDER",
        "seeds-request,SYSTEM_SENDER",
        "listserv,SYSTEM_SENDER",
        "majordomo,SYSTEM_SENDER",
        "seeds-bounces,SYSTEM_SENDER",
        "noreply,NO_REPLY_SENDER",
        "No-Reply,NO_REPLY_SENDER",
        "donotreply,NO_REPLY_SENDER",
        "postmaster,POSTMASTER"
    })
    void aMachinesAddressIsNeverAnswered(String local, Reason reason) {
        assertThat(against(Mails.from(local + "@school.example", "s", "t"))).contains(reason);
    }

    @Test
    void withoutAReturnPathOrWithTheNullPathThereIsNoAnswer() {
        assertThat(against("From: a@b.example\r\nTo: visits@ostrel-gardens.example\r\n\r\n"))
                .containsExactly(Reason.NO_RETURN_PATH);
        assertThat(against("Return-Path: <>\r\nFrom: a@b.example\r\nTo: visits@ostrel-gardens.example\r\n\r\n"))
                .containsExactly(Reason.NULL_RETURN_PATH);
    }

    @Test
    void noOrSeveralWritersGetNoAnswer() {
        assertThat(against("Return-Path: <a@b.example>\r\nTo: visits@ostrel-gardens.example\r\n\r\n"))
                .contains(Reason.NOT_ONE_SENDER);
        assertThat(
                        against(
                                "Return-Path: <a@b.example>\r\nFrom: a@b.example, c@b.example\r\nTo: visits@ostrel-gardens.example\r\n\r\n"))
                .contains(Reason.NOT_ONE_SENDER);
    }

    @Test
    void theMailboxNeverAnswersItselfUnderAnyOfItsAddresses() {
        assertThat(against(Mails.from("photos+x@ostrel-gardens.example", "s", "t")))
                .contains(Reason.OWN_SENDER);
    }

    /** RFC 5230 §4.5: an own address must be named among the recipients; an alias the rule names counts. */
    @Test
    void mailNotWrittenToUsIsNotAnsweredUnlessTheRuleNamesTheAlias() {
        String other = "Return-Path: <a@b.example>\r\nFrom: a@b.example\r\nTo: walks@ostrel-gardens.example\r\n\r\n";
        assertThat(against(other)).containsExactly(Reason.NOT_WRITTEN_TO_US);
        MailAddress alias = MailAddress.of("walks@ostrel-gardens.example");
        assertThat(against(
                        other,
                        new ReplyGuard.Circumstances(
                                Mails.VISITS, List.of(alias), false, AnswersTo.Header.RETURN_PATH)))
                .isEmpty();
        assertThat(against(person("Resent-To: photos@ostrel-gardens.example"))).isEmpty();
    }

    @Test
    void aConversationWeAreInIsLeftToPeople() {
        assertThat(against(
                        person(),
                        new ReplyGuard.Circumstances(Mails.VISITS, List.of(), true, AnswersTo.Header.RETURN_PATH)))
                .containsExactly(Reason.CONVERSATION);
    }

    @Test
    void mailAMailboxOfOursHandedOnIsNotAnswered() {
        String mark = Mails.HOPS.next(Mails.read(person()), MailAddress.of("duty@ostrel-gardens.example"));
        assertThat(against(person(HopMark.FIELD + ": " + mark))).containsExactly(Reason.HANDED_ON);
    }

    @Test
    void aForgedOrAlteredMarkCountsForNothing() {
        String mark = Mails.HOPS.next(Mails.read(person()), MailAddress.of("duty@ostrel-gardens.example"));
        assertThat(against(person(HopMark.FIELD + ": " + mark.replaceFirst("m=.", "m=0"))))
                .isEmpty();
        assertThat(against(person(HopMark.FIELD + ": v=1; m=0123456789abcdef; s=" + "0".repeat(64))))
                .isEmpty();
    }

    @Test
    void aLoopIsStoppedByTheMailboxesOwnMarkByFiveHopsAndByFiftyReceivedFields() {
        LoopGuard loops = new LoopGuard(Mails.HOPS);
        String own = HopMark.FIELD + ": " + Mails.HOPS.next(Mails.read(person()), Mails.VISITS.identity());
        assertThat(loops.againstHandingOn(Mails.read(person(own)), Mails.VISITS)
                        .orElseThrow()
                        .reason())
                .isEqualTo(Reason.LOOP);
        String mail = person();
        for (int i = 0; i < LoopGuard.MAX_HOPS; i++) {
            assertThat(loops.againstHandingOn(Mails.read(mail), Mails.VISITS)).isEmpty();
            mail = person(
                    HopMark.FIELD + ": " + Mails.HOPS.next(Mails.read(mail), MailAddress.of("m" + i + "@x.example")));
        }
        assertThat(loops.againstHandingOn(Mails.read(mail), Mails.VISITS)
                        .orElseThrow()
                        .reason())
                .isEqualTo(Reason.TOO_MANY_HOPS);
        String[] received =
                IntStream.range(0, 51).mapToObj(i -> "Received: " + i).toArray(String[]::new);
        assertThat(loops.againstHandingOn(Mails.read(person(received)), Mails.VISITS)
                        .orElseThrow()
                        .reason())
                .isEqualTo(Reason.TOO_MANY_HOPS);
    }

    /** RFC 3834 §2, RFC 5230 §4.2: known by address; the rule's own days, and three a day over all rules. */
    @Test
    void aWriterGetsOneAnswerOfARuleInItsDaysAndThreeOfAllRulesInADay() {
        Set<String> anna = Set.of("anna@school.example");
        ReplyHistory sixDaysAgo =
                new ReplyHistory(List.of(new ReplyHistory.Entry("a", anna, Mails.NOW.minus(Duration.ofDays(6)))));
        assertThat(sixDaysAgo.against("a", ReplyFrequency.PRESET, anna, Mails.NOW))
                .isPresent();
        assertThat(sixDaysAgo.against("b", ReplyFrequency.PRESET, anna, Mails.NOW))
                .isEmpty();
        assertThat(sixDaysAgo.against("a", ReplyFrequency.PRESET, Set.of("tom@school.example"), Mails.NOW))
                .isEmpty();
        assertThat(sixDaysAgo.against("a", ReplyFrequency.once(Duration.ofDays(5)), anna, Mails.NOW))
                .isEmpty();
        List<ReplyHistory.Entry> three = IntStream.range(0, 3)
                .mapToObj(i -> new ReplyHistory.Entry("r" + i, anna, Mails.NOW.minusSeconds(i)))
                .toList();
        assertThat(new ReplyHistory(three)
                        .against("a", ReplyFrequency.PRESET, anna, Mails.NOW)
                        .orElseThrow()
                        .reason())
                .isEqualTo(Reason.ANSWERS_A_DAY);
    }

    @Test
    void theLastLookHoldsOutsideMailAndMailBeyondTheHourlyLimitAndWithholdsForAPausedRule() {
        Outgoing inside = new Outgoing.HandedOn(MailAddress.of("duty@ostrel-gardens.example"), Optional.empty());
        Outgoing outside = new Outgoing.HandedOn(MailAddress.of("x@elsewhere.example"), Optional.empty());
        assertThat(look(inside, true, false, 199, 99)).isInstanceOf(Clearance.Verdict.Clear.class);
        assertThat(look(inside, true, false, 200, 99)).isEqualTo(new Clearance.Verdict.Hold(Reason.HOURLY_LIMIT));
        assertThat(look(inside, true, false, 199, 100)).isEqualTo(new Clearance.Verdict.Hold(Reason.RULE_LIMIT));
        assertThat(look(inside, true, true, 200, 100)).isInstanceOf(Clearance.Verdict.Clear.class);
        assertThat(look(outside, true, true, 0, 0)).isEqualTo(new Clearance.Verdict.Hold(Reason.OUTSIDE));
        assertThat(look(inside, false, true, 0, 0)).isEqualTo(new Clearance.Verdict.Withhold(Reason.RULE_SWITCHED_OFF));
    }

    @Test
    void aTestOfAnAliasNeverLeavesTheOrganisation() {
        Outgoing.Inside inside = new Outgoing.Inside(MailAddress.of("walks@ostrel-gardens.example"), Optional.empty());
        Outgoing.Inside outside = new Outgoing.Inside(MailAddress.of("x@elsewhere.example"), Optional.empty());
        assertThat(Clearance.look(inside, Mails.VISITS)).isPresent();
        assertThat(Clearance.look(outside, Mails.VISITS)).isEmpty();
    }

    @Test
    void anAnswerThatIsLateByMoreThanADayWaitsForAPersonAndMailThatIsHandedOnIsNeverLate() {
        Instant received = Instant.parse("2026-11-20T09:00:00Z");
        assertThat(Clearance.isOverLate(received, received.plus(Duration.ofDays(1))))
                .isFalse();
        assertThat(Clearance.isOverLate(
                        received, received.plus(Duration.ofDays(1)).plusMillis(1)))
                .isTrue();
        MailAddress inside = MailAddress.of("walks@ostrel-gardens.example");
        Outgoing answer = new Outgoing.Answer(inside, Optional.empty());
        assertThat(late(answer, false)).isEqualTo(new Clearance.Verdict.Hold(Reason.OVER_LATE));
        assertThat(late(answer, true)).isInstanceOf(Clearance.Verdict.Clear.class);
        assertThat(late(new Outgoing.HandedOn(inside, Optional.empty()), false))
                .isInstanceOf(Clearance.Verdict.Clear.class);
    }

    /** A person's yes overrules limits and the clock; that the rule is off, or the destination against it, it does not. */
    @Test
    void whatItsRuleSendsOnApprovalWaitsForIt() {
        Outgoing answer = new Outgoing.Answer(MailAddress.of("walks@ostrel-gardens.example"), Optional.empty());
        assertThat(Clearance.look(
                        answer,
                        new Clearance.Now(
                                Mails.VISITS,
                                Agreements.none(),
                                true,
                                false,
                                Optional.empty(),
                                Optional.of(Reason.APPROVAL),
                                false,
                                false,
                                false,
                                Limits.PRESET,
                                LITTLE)))
                .isEqualTo(new Clearance.Verdict.Hold(Reason.APPROVAL));
        assertThat(Reason.APPROVAL.mayBeOverruled()).isTrue();
    }

    private static Clearance.Verdict late(Outgoing outgoing, boolean approved) {
        return Clearance.look(
                outgoing,
                new Clearance.Now(
                        Mails.VISITS,
                        Agreements.none(),
                        true,
                        false,
                        Optional.empty(),
                        Optional.empty(),
                        approved,
                        false,
                        true,
                        Limits.PRESET,
                        LITTLE));
    }

    private static final Limits.Flow LITTLE = new Limits.Flow(0, 0, 0, 0);

    private static Clearance.Verdict look(Outgoing outgoing, boolean on, boolean approved, int mailbox, int rule) {
        return Clearance.look(
                outgoing,
                new Clearance.Now(
                        Mails.VISITS,
                        Agreements.none(),
                        on,
                        false,
                        Optional.empty(),
                        Optional.empty(),
                        approved,
                        false,
                        false,
                        Limits.PRESET,
                        new Limits.Flow(mailbox, rule, 0, 0)));
    }
}
