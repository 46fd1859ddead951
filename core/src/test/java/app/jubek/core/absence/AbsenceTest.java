package app.jubek.core.absence;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.Mails;
import app.jubek.core.address.MailAddress;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Everything;
import app.jubek.core.criteria.MessagePart;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.decide.CompiledBook;
import app.jubek.core.decide.Decision;
import app.jubek.core.decide.DecisionContext;
import app.jubek.core.decide.Engine;
import app.jubek.core.matching.Comparison;
import app.jubek.core.matching.MatchType;
import app.jubek.core.matching.Value;
import app.jubek.core.plan.NotDone;
import app.jubek.core.plan.Reason;
import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.safety.ReplyHistory;
import app.jubek.core.schedule.Opening;
import app.jubek.core.schedule.Period;
import app.jubek.core.step.Flag;
import app.jubek.core.step.Release;
import app.jubek.core.step.Step;
import app.jubek.core.step.StepKind;
import app.jubek.core.template.Prepared;
import app.jubek.core.template.Template;
import app.jubek.core.template.TemplateId;
import app.jubek.core.wording.Statement;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Away from 29 March to 3 April 2026, with Noor standing in for photo permits. */
class AbsenceTest {
    private static final LocalDate FIRST = LocalDate.parse("2026-03-29");
    private static final LocalDate LAST = LocalDate.parse("2026-04-03");
    private static final MailAddress NOOR =
            MailAddress.of("noor@ostrel-gardens.example").named("Noor Adel");
    private static final String TEXT =
            "Until {{absence.lastDay}}, back on {{absence.nextOpening}}: {{absence.substitute}}";
    private static final Template ENGLISH = template("away-en", Locale.UK, TEXT);
    private static final Template GERMAN = template("away-de", Locale.GERMANY, "Bis {{absence.lastDay}}");
    private static final Rule PERMITS =
            rule("permits", subject("photo"), Ending.STOP_HERE, Step.Mark.with(Flag.FLAGGED));

    private static Template template(String id, Locale language, String text) {
        Map<String, String> fallbacks = Map.of("absence.substitute", "the visits desk");
        return Template.plain(new TemplateId(id), 1, id, language, "Away", text, fallbacks);
    }

    private static Criterion subject(String phrase) {
        Value value = Value.of(MatchType.CONTAINS, Comparison.FOLDED, phrase);
        return new TextCriterion(MessagePart.of(MessagePart.Kind.SUBJECT), List.of(value), false);
    }

    private static Rule rule(String id, Criterion picksOut, Ending ending, Step step) {
        return new Rule(new RuleId(id), 1, id, picksOut, new Nothing(), List.of(step), ending, true);
    }

    private static Absence absence(Template... templates) {
        List<TemplateId> ids = Stream.of(templates).map(Template::id).toList();
        TakingOver noor = new TakingOver(NOOR, TakingOver.Share.OF_RULES, List.of(PERMITS.id()), true, 3);
        return new Absence(
                "one", FIRST, LAST, new Absence.Answer(Audience.EVERYONE, List.of(), ids), Optional.of(noor));
    }

    private static RuleBook book(Standing standing, Criterion fence, Rule... rules) {
        RuleBook without = new RuleBook(List.of(rules), fence);
        AbsenceRules.Names names = new AbsenceRules.Names("answer", "hand over");
        return new RuleBook(
                without.rules(),
                fence,
                new AbsenceRules(absence(ENGLISH, GERMAN), standing, Mails.VISITS, names).in(without));
    }

    private static Decision decide(RuleBook book, String mail, Instant received, ReplyHistory history) {
        Prepared prepared = new Prepared(
                Stream.of(ENGLISH, GERMAN).collect(Collectors.toMap(Template::id, Function.identity())), Map.of());
        DecisionContext at = Mails.at(received, received, history, Map.of());
        return Engine.decide(
                CompiledBook.of(book),
                Mails.read(mail),
                new DecisionContext(
                        at.context(), at.opening(), history, at.hops(), Map.of(), prepared, at.agreements()));
    }

    private static Decision decide(RuleBook book, String mail) {
        return decide(book, mail, Mails.NOW, ReplyHistory.empty());
    }

    private static String answer(Decision decision) {
        return decision.planned().stream()
                .filter(step -> step.step().kind() == StepKind.REPLY)
                .map(step -> step.sending().orElseThrow().letter().text())
                .findFirst()
                .orElseGet(() -> decision.notDone().stream()
                        .map(NotDone::reason)
                        .map(Reason::name)
                        .findFirst()
                        .orElse("NONE"));
    }

    private static final String MAIL =
            Mails.from("anna@school.example", "Opening hours", "When are you open next week?");

    /** In Stockholm, where the clocks are put forward on the first day. */
    @Test
    void itAnswersFromTheFirstToTheLastDayOnly() {
        RuleBook book = book(Standing.AGREED, new Nothing());
        assertThat(Stream.of(
                                "2026-03-28T22:59:59Z",
                                "2026-03-28T23:00:00Z",
                                "2026-04-03T21:59:59Z",
                                "2026-04-03T22:00:00Z")
                        .map(at -> answer(decide(book, MAIL, Instant.parse(at), ReplyHistory.empty()))
                                .startsWith("Until")))
                .containsExactly(false, true, true, false);
    }

    @Test
    void aSenderIsAnsweredOnceHoweverLongItLasts() {
        ReplyHistory before = new ReplyHistory(List.of(new ReplyHistory.Entry(
                AbsenceRules.answerOf("one").value(),
                Set.of("anna@school.example"),
                Mails.NOW.minus(Duration.ofDays(200)))));
        assertThat(answer(decide(book(Standing.AGREED, new Nothing()), MAIL, Mails.NOW, before)))
                .isEqualTo("ANSWERED_BEFORE");
    }

    @Test
    void listsMachinesAndWhatTheFenceKeepsInGetNoAnswer() {
        RuleBook book = book(Standing.AGREED, subject("confidential"));
        assertThat(answer(decide(book, Mails.from("a@b.example", "s", "t", "List-Id: <l.example>"))))
                .isEqualTo("LIST");
        assertThat(answer(decide(book, Mails.from("a@b.example", "s", "t", "Auto-Submitted: auto-generated"))))
                .isEqualTo("AUTOMATIC");
        assertThat(answer(decide(book, Mails.from("a@b.example", "Confidential", "t"))))
                .isEqualTo("NONE");
    }

    @Test
    void theAnswerIsInTheLanguageOfTheMessage() {
        RuleBook book = book(Standing.AGREED, new Nothing());
        assertThat(answer(decide(
                        book,
                        Mails.from(
                                "anna@school.example",
                                "Besuch",
                                "Guten Tag, wir möchten gerne nächste Woche kommen."))))
                .isEqualTo("Bis 3. April 2026");
        assertThat(answer(decide(book, Mails.from("anna@school.example", "?", "ok"))))
                .startsWith("Until 3 April 2026");
    }

    @Test
    void untilTheSubstituteAgreesNobodyIsNamedAndTheHandOverWaits() {
        String photo = Mails.from("anna@school.example", "Photo permit", "May we take pictures in the garden?");
        Decision asked = decide(book(Standing.ASKED, new Nothing(), PERMITS), photo);
        Decision agreed = decide(book(Standing.AGREED, new Nothing(), PERMITS), photo);
        assertThat(answer(asked)).isEqualTo("Until 3 April 2026, back on 6 April 2026: the visits desk");
        assertThat(answer(agreed)).endsWith("Noor Adel (noor@ostrel-gardens.example)");
        assertThat(Stream.of(asked, agreed).map(AbsenceTest::release))
                .containsExactly(Release.Plain.ONCE_AGREED, Release.Plain.AT_ONCE);
        assertThat(Reason.awaitedBy(Release.Plain.ONCE_AGREED)).isEqualTo(Reason.SUBSTITUTE_NOT_AGREED);
    }

    private static Release release(Decision decision) {
        return decision.planned().stream()
                .filter(step -> step.step().kind() == StepKind.REDIRECT)
                .map(step -> step.step().release())
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aRuleThatStopsDoesNotKeepItFromItsWorkAndOneThatAnswersGoesFirst() {
        Rule answers = rule(
                "answers", new Everything(), Ending.STOP_HERE, new Step.Reply("", "Thank you.", Duration.ofDays(7)));
        assertThat(answer(
                        decide(book(Standing.AGREED, new Nothing(), PERMITS), Mails.from("a@b.example", "Photo", "t"))))
                .startsWith("Until");
        assertThat(answer(decide(book(Standing.AGREED, new Nothing(), answers), MAIL)))
                .startsWith("Thank you.");
    }

    private static AbsenceReview review(Absence absence, Standing standing, Period... substituteAway) {
        Opening opening = Opening.usual(ZoneOffset.UTC).with(Set.of(LocalDate.parse("2026-04-06")), Map.of());
        Absence other = new Absence(
                "two",
                LAST,
                LAST.plusDays(9),
                new Absence.Answer(Audience.NOBODY, List.of(), List.of()),
                Optional.empty());
        return new AbsenceReview(
                absence,
                standing,
                false,
                List.of(other),
                List.of(substituteAway),
                Mails.VISITS,
                opening,
                RuleBook.empty(),
                new Prepared(
                        Map.of(ENGLISH.id(), template("away-en", Locale.UK, "I am back on 1 March 2026.")), Map.of()));
    }

    @Test
    void itSaysWhatSpeaksAgainstItTheWorstFirst() {
        Period away = new Period(Optional.of(LAST), Optional.of(LAST));
        assertThat(review(absence(ENGLISH, GERMAN), Standing.ASKED, away).findings(FIRST.minusDays(2)))
                .extracting(Statement::code)
                .containsExactly(
                        "ABSENCE_SUBSTITUTE_SILENT",
                        "ABSENCE_SUBSTITUTE_AWAY",
                        "ABSENCE_OVERLAPS",
                        "ABSENCE_TEMPLATE_GONE",
                        "ABSENCE_TEMPLATE_SAYS_OTHERWISE",
                        "ABSENCE_NOTHING_HANDED_OVER",
                        "ABSENCE_ENDS_BEFORE_CLOSED_DAYS");
        assertThat(review(absence(ENGLISH), Standing.ASKED).findings(FIRST.minusDays(3)))
                .noneMatch(finding -> finding.is(AbsenceFinding.SUBSTITUTE_SILENT));
        assertThat(review(absence(ENGLISH), Standing.DECLINED).findings(FIRST.minusDays(9)))
                .first()
                .matches(finding -> finding.is(AbsenceFinding.SUBSTITUTE_DECLINED));
    }
}
