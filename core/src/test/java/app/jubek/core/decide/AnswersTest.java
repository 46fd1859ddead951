package app.jubek.core.decide;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.Mails;
import app.jubek.core.address.MailAddress;
import app.jubek.core.criteria.AddressCriterion;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Everything;
import app.jubek.core.criteria.MessagePart;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.matching.Comparison;
import app.jubek.core.matching.MatchType;
import app.jubek.core.matching.Value;
import app.jubek.core.people.AddressBook;
import app.jubek.core.people.PeopleGroup;
import app.jubek.core.people.Person;
import app.jubek.core.plan.NotDone;
import app.jubek.core.plan.Reason;
import app.jubek.core.plan.Sending;
import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.step.AnswersTo;
import app.jubek.core.step.Release;
import app.jubek.core.step.ReplyFrequency;
import app.jubek.core.step.ReplyOptions;
import app.jubek.core.step.Step;
import app.jubek.core.template.Document;
import app.jubek.core.template.DocumentId;
import app.jubek.core.template.Letter;
import app.jubek.core.template.Prepared;
import app.jubek.core.template.Signature;
import app.jubek.core.template.Template;
import app.jubek.core.template.TemplateId;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Where answers go, what may go along, and how often. */
class AnswersTest {
    private static final MailAddress FORM = MailAddress.of("noreply@forms.example");
    private static final AnswersTo IN_TEXT = new AnswersTo.InText(AnswersTo.InText.USUAL, List.of(FORM));

    private static Step reply(AnswersTo to) {
        return new Step.Reply(
                Optional.empty(),
                "",
                "Thank you.",
                new ReplyOptions(
                        ReplyFrequency.PRESET,
                        Optional.empty(),
                        to,
                        false,
                        List.of(),
                        List.of(),
                        Optional.empty(),
                        false,
                        false,
                        Release.Plain.AT_ONCE));
    }

    /** RFC 5230 §4.5. */
    @Test
    void mailToAFurtherAddressThatReachesTheMailboxIsAnsweredWhereTheRuleSaysSo() {
        String mail = Mails.from("anna@school.example", "s", "t")
                .replace("visits@ostrel-gardens.example", "tours@partner.example");
        ReplyOptions usual = ReplyOptions.usual(ReplyFrequency.PRESET);
        ReplyOptions also = usual.alsoTo(List.of(MailAddress.of("Tours@partner.example")));
        assertThat(decide(new Step.Reply(Optional.empty(), "", "Thank you.", usual), mail)
                        .notDone())
                .extracting(NotDone::reason)
                .containsExactly(Reason.NOT_WRITTEN_TO_US);
        assertThat(decide(new Step.Reply(Optional.empty(), "", "Thank you.", also), mail)
                        .planned())
                .hasSize(1);
    }

    private static Decision decide(Criterion picksOut, Step step, String mail, DecisionContext at) {
        Rule rule = new Rule(new RuleId("r"), 1, "r", picksOut, new Nothing(), List.of(step), Ending.CONTINUE, true);
        return Engine.decide(CompiledBook.of(RuleBook.of(List.of(rule))), Mails.read(mail), at);
    }

    private static Decision decide(Step step, String mail) {
        return decide(new Everything(), step, mail, Mails.context());
    }

    private static String outcome(Decision decision) {
        return decision.planned().stream()
                .map(step -> step.sending().orElseThrow().to().address())
                .findFirst()
                .orElseGet(() -> decision.notDone().get(0).reason().name());
    }

    private static String form(String text, String... fields) {
        return Mails.from(FORM.address(), "Contact form", text, fields);
    }

    /** RFC 3834 §4 and RFC 5230 §4.2 name the return path; the others are a person's choice. */
    @ParameterizedTest
    @CsvSource({
        "RETURN_PATH, '', anna@school.example",
        "FROM, '', anna@school.example",
        "REPLY_TO, '', anna@school.example",
        "REPLY_TO, Reply-To: office@school.example, office@school.example",
        "REPLY_TO, 'Reply-To: a@school.example, b@school.example', NOBODY_TO_ANSWER",
        "REPLY_TO, Reply-To: visits@ostrel-gardens.example, OWN_SENDER",
        "REPLY_TO, Reply-To: noreply@school.example, NO_REPLY_SENDER",
        "REPLY_TO, Reply-To: seeds-request@school.example, SYSTEM_SENDER"
    })
    void anAnswerGoesWhereTheRuleSaysUnlessThatIsNobodyOrAMachine(AnswersTo.Header to, String field, String expected) {
        String[] fields = field.isEmpty() ? new String[0] : new String[] {field};
        assertThat(outcome(decide(reply(to), Mails.from("anna@school.example", "s", "t", fields))))
                .isEqualTo(expected);
    }

    /** Common practice: a form names its user in the text, and is a machine by every other mark. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Name: Mara\\nE-mail: mara@mailhaven.example\\nHello | | mara@mailhaven.example",
                "Email address: <mara@mailhaven.example>. | | mara@mailhaven.example",
                "Hello | Reply-To: dana@mailhaven.example | dana@mailhaven.example",
                "E-mail: mara@mailhaven.example | Reply-To: dana@mailhaven.example | mara@mailhaven.example",
                "Hello | Reply-To: noreply@forms.example | NOBODY_TO_ANSWER",
                "E-mail: mara@mailhaven.example | Auto-Submitted: auto-generated | mara@mailhaven.example",
                "E-mail: mara@mailhaven.example | Auto-Submitted: auto-replied | AUTOMATIC",
                "E-mail: mara@mailhaven.example | List-Id: <l.example> | LIST",
                "E-mail: mara@mailhaven.example | Precedence: bulk | MASS_MAIL",
                "E-mail: a@mailhaven.example, e-mail: b@mailhaven.example | | NOBODY_TO_ANSWER",
                "E-mail: photos@ostrel-gardens.example | | OWN_SENDER",
                "E-mail: no-reply@mailhaven.example | | NO_REPLY_SENDER",
                "no address at all | | NOBODY_TO_ANSWER"
            })
    void aFormIsAnsweredAtTheOneAddressInItsText(String text, String field, String expected) {
        String[] fields = field == null ? new String[0] : new String[] {field};
        assertThat(outcome(decide(reply(IN_TEXT), form(text.replace("\\n", "\r\n"), fields))))
                .isEqualTo(expected);
    }

    @Test
    void nobodyElsesMailIsAnsweredAtAnAddressInItsText() {
        String stranger = Mails.from("anna@school.example", "s", "E-mail: mara@mailhaven.example");
        assertThat(outcome(decide(reply(IN_TEXT), stranger))).isEqualTo("NOBODY_TO_ANSWER");
    }

    @Test
    void anAnswerIsWrittenAsAnAddressOfTheMailboxOrHeld() {
        ReplyOptions foreign = new ReplyOptions(
                ReplyFrequency.PRESET,
                Optional.empty(),
                AnswersTo.Header.RETURN_PATH,
                false,
                List.of(),
                List.of(),
                Optional.of(MailAddress.of("director@ostrel-gardens.example")),
                false,
                false,
                Release.Plain.AT_ONCE);
        Decision decision = decide(
                new Step.Reply(Optional.empty(), "", "Thank you.", foreign),
                Mails.from("anna@school.example", "s", "t"));
        assertThat(decision.notDone()).extracting(NotDone::reason).containsExactly(Reason.IDENTITY_NOT_OURS);
    }

    private static Decision withDocument(long size, AddressBook people, String... fields) {
        return withDocument(size, people, new Everything(), Mails.from("anna@school.example", "s", "t", fields));
    }

    private static Decision withDocument(long size, AddressBook people, Criterion picksOut, String mail) {
        DocumentId id = new DocumentId("plan");
        Document plan = new Document(id, "plan.pdf", "application/pdf", size, LocalDate.EPOCH, Optional.empty());
        Template template = new Template(
                new TemplateId("visits"),
                1,
                "Visits",
                Locale.UK,
                "s",
                "t",
                "",
                Signature.none(),
                List.of(id),
                Map.of());
        Prepared prepared = new Prepared(Map.of(template.id(), template), Map.of(id, plan));
        return decide(
                picksOut,
                new Step.Reply(template.id(), ReplyOptions.usual(ReplyFrequency.aDay(3))),
                mail,
                Mails.context(prepared, people));
    }

    /** Anybody can write anybody's address into From; the answer goes to the return path. */
    @ParameterizedTest
    @CsvSource({
        "anna@school.example, anna@school.example, anna@school.example",
        "anna@school.example, bounces@school.example, bounces@school.example",
        "anna@school.example, thief@elsewhere.example, ANOTHER_ADDRESS",
        "anna@sub.school.example, thief@school.example.elsewhere.example, ANOTHER_ADDRESS"
    })
    void aForgedSenderFetchesNoDocuments(String from, String path, String expected) {
        Criterion school = new AddressCriterion(
                AddressCriterion.AddressField.SENDER,
                AddressCriterion.AddressMatch.AT_DOMAIN_OR_BELOW,
                List.of("school.example"),
                false);
        String mail = Mails.from(from, "Plan please", "t").replace("Return-Path: <" + from, "Return-Path: <" + path);
        assertThat(outcome(withDocument(100, AddressBook.empty(), school, mail)))
                .isEqualTo(expected);
        assertThat(outcome(withDocument(100, AddressBook.empty(), new Everything(), mail)))
                .isEqualTo(path);
    }

    /** RFC 3834 §2; RFC 8601 §2.2, App. B: only what our own server wrote on top is believed. */
    @Test
    void largeDocumentsGoOnlyToWhoIsKnownOrShownToBeWhoTheyAre() {
        AddressBook nobody = AddressBook.empty();
        AddressBook anna = AddressBook.of(
                List.of(new Person("1", "Anna Berg", List.of(MailAddress.of("Anna@school.example")), "", "", "")),
                List.of());
        assertThat(outcome(withDocument(64 * 1024, nobody))).isEqualTo("anna@school.example");
        assertThat(outcome(withDocument(70_000, nobody))).isEqualTo("DOCUMENTS_TO_A_STRANGER");
        assertThat(withDocument(70_000, nobody).notDone().get(0).planned().sending())
                .isPresent();
        assertThat(outcome(withDocument(70_000, anna))).isEqualTo("anna@school.example");
        assertThat(
                        outcome(
                                withDocument(
                                        70_000,
                                        nobody,
                                        "Authentication-Results: mx.ostrel-gardens.example (ok); spf=fail; dkim=pass (good) header.d=x")))
                .isEqualTo("anna@school.example");
        assertThat(outcome(withDocument(
                        70_000, nobody, "Authentication-Results: mx.elsewhere.example; dkim=pass header.d=x")))
                .isEqualTo("DOCUMENTS_TO_A_STRANGER");
        assertThat(outcome(withDocument(
                        70_000,
                        nobody,
                        "Received: here",
                        "Received: there",
                        "Authentication-Results: mx.ostrel-gardens.example; dkim=pass")))
                .isEqualTo("DOCUMENTS_TO_A_STRANGER");
    }

    /** The one whom a form wrote for is greeted, and not the form. */
    @ParameterizedTest
    @CsvSource({
        "REPLY_TO, Website form <web@host.example>, Dana Brisk <dana@mailhaven.example>, Dear Dana",
        "REPLY_TO, Website form <web@host.example>, dana@mailhaven.example, Dear visitor",
        "REPLY_TO, Anna Karlson <anna@school.example>, office@school.example, Dear Anna",
        "RETURN_PATH, Anna Karlson <anna@school.example>, dana@mailhaven.example, Dear Anna"
    })
    void whoGetsTheAnswerIsGreeted(AnswersTo.Header to, String from, String replyTo, String greeting) {
        Template template = Template.plain(
                new TemplateId("visits"),
                1,
                "Visits",
                Locale.UK,
                "",
                "Dear {{sender.firstName}}",
                Map.of("sender.firstName", "visitor"));
        String mail = Mails.from("anna@school.example", "s", "t", "Reply-To: " + replyTo)
                .replace("Anna <anna@school.example>", from);
        Decision decision = decide(
                new Everything(),
                new Step.Reply(template.id(), ((Step.Reply) reply(to)).options()),
                mail,
                Mails.context(template));
        assertThat(decision.planned().get(0).sending().orElseThrow().letter().text())
                .isEqualTo(greeting);
    }

    @Test
    void whatAPatternOfTheRuleTakesOutOfAMessageIsFilledIn() {
        Template template = Template.plain(
                new TemplateId("visits"),
                1,
                "Visits",
                Locale.UK,
                "For {{captured.pupils}}",
                "{{captured.pupils}} pupils, {{captured.day}}",
                Map.of("captured.day", "any day"));
        Value pattern =
                Value.of(MatchType.PATTERN, Comparison.FOLDED, "(?P<pupils>[0-9]+) pupils(?: on (?P<day>\\w+))?");
        Decision decision = decide(
                new TextCriterion(MessagePart.of(MessagePart.Kind.TEXT), List.of(pattern), false),
                new Step.Reply(template.id(), ReplyOptions.usual(ReplyFrequency.PRESET)),
                Mails.from("anna@school.example", "s", "We are 24 Pupils."),
                Mails.context(template));
        Sending sending = decision.planned().get(0).sending().orElseThrow();
        assertThat(sending.letter().subject()).isEqualTo("For 24");
        assertThat(sending.letter().text()).isEqualTo("24 pupils, any day");
    }

    private static Letter letter(Step step) {
        Decision decision = decide(step, Mails.from("anna@school.example", "Guided visit", "t"));
        return decision.planned().get(0).sending().orElseThrow().letter();
    }

    @Test
    void fieldsAreFilledInWordsOfTheRuleItselfToo() {
        Letter answer = letter(new Step.Reply("About {{subject}}", "To {{sender.address}}", Duration.ofDays(7)));
        assertThat(answer.subject()).isEqualTo("About Guided visit");
        assertThat(answer.text()).isEqualTo("To anna@school.example");
        List<MailAddress> duty = List.of(MailAddress.of("duty@ostrel-gardens.example"));
        assertThat(letter(new Step.Forward(duty, "From {{sender.address}}")).text())
                .isEqualTo("From anna@school.example");
        assertThat(letter(new Step.Reply("", "Dear {{nobody}}", Duration.ofDays(7)))
                        .text())
                .as("what names no field goes out as it is written")
                .isEqualTo("Dear {{nobody}}");
    }

    @Test
    void aGroupStandsForEverybodyInItOnce() {
        List<MailAddress> guides = Stream.of("noor@ostrel-gardens.example", "tom@ostrel-gardens.example")
                .map(MailAddress::of)
                .toList();
        AddressBook people = AddressBook.of(List.of(), List.of(new PeopleGroup("1", "Guides", guides)));
        Step.Redirect redirect = new Step.Redirect(
                List.of(MailAddress.of("tom@ostrel-gardens.example")),
                List.of("guides", "nobody"),
                false,
                Release.Plain.AT_ONCE);
        Decision decision = decide(
                new Everything(),
                redirect,
                Mails.from("anna@school.example", "s", "t"),
                Mails.context(Prepared.nothing(), people));
        assertThat(decision.planned())
                .extracting(step -> step.sending().orElseThrow().to().address())
                .containsExactly("tom@ostrel-gardens.example", "noor@ostrel-gardens.example");
        assertThat(decision.notDone()).extracting(NotDone::reason).containsExactly(Reason.GROUP_EMPTY);
    }
}
