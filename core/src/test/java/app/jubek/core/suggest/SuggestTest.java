package app.jubek.core.suggest;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.Mails;
import app.jubek.core.corpus.Corpus;
import app.jubek.core.corpus.PastMessage;
import app.jubek.core.criteria.MessagePart;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleId;
import app.jubek.core.step.Step;
import app.jubek.core.view.MessageView;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;

class SuggestTest {
    private final Corpus corpus = new Corpus(50, Long.MAX_VALUE);

    private int mail(String sender, String subject) {
        return mail(sender, subject, "Dear visits desk, thank you.");
    }

    private int mail(String sender, String subject, String text) {
        int place = corpus.size();
        MessageView seen = Mails.view(Mails.read(Mails.from(sender, subject, text)));
        corpus.add(new PastMessage(place, Instant.EPOCH.plusSeconds(place), seen));
        return place;
    }

    private String first(List<Integer> wanted, List<Integer> unwanted) {
        return Mails.words(Suggest.of(corpus.since(Instant.EPOCH), wanted, unwanted, Mails.VISITS)
                .get(0)
                .picksOut()
                .statement());
    }

    private void otherMail() {
        for (int i = 0; i < 30; i++) {
            mail("somebody" + i + "@mailhaven.example", "Something else " + i);
        }
    }

    @Test
    void whatAllWantedMessagesShareAndNoUnwantedOneHasIsProposed() {
        otherMail();
        int one = mail("anna@school.example", "Guided visit for 20 pupils");
        int two = mail("bo@school.example", "Two guided visits on 3 May");
        int invoice = mail("office@school.example", "Invoice 17");
        assertThat(first(List.of(one, two), List.of(invoice))).isEqualTo("with “Guided visit” in the subject");
        assertThat(first(List.of(one, two, invoice), List.of())).isEqualTo("from anyone at school.example");
    }

    /** Seen in real mail: RFC 5322 knows no address without a local part. */
    @Test
    void aMessageWithAnAddressThatNoCriterionCanNameIsNoHindrance() {
        otherMail();
        int odd = mail("@gate.example", "Guided visit for 20 pupils");
        int sound = mail("anna@school.example", "Guided visit on 3 May");
        assertThat(first(List.of(odd, sound), List.of())).isEqualTo("with “Guided visit” in the subject");
    }

    @Test
    void writersWithoutWordsInCommonAreToldApartEachByItsOwn() {
        otherMail();
        int one = mail("a@school.example", "Class booking 7");
        int two = mail("b@school.example", "Class booking 9");
        int three = mail("c@nursery.example", "Pricelist pots");
        int four = mail("d@nursery.example", "Pricelist stakes");
        List<Integer> unwanted = List.of(
                mail("a@school.example", "Term dates"),
                mail("c@nursery.example", "Open day"),
                mail("e@mailhaven.example", "Class booking"),
                mail("f@mailhaven.example", "Pricelist"));
        assertThat(first(List.of(one, two, three, four), unwanted))
                .contains("school.example", "Class booking", "nursery.example", "Pricelist", "or");
    }

    @Test
    void namesGreetingsNumbersAndOwnWordsAreNoPhrases() {
        assertThat(new Phrases(Mails.VISITS)
                        .in("Dear visits desk of Ostrel Gardens: class booking, 17 pupils on the 3rd")
                        .values())
                .contains("class booking", "pupils")
                .noneMatch(phrase -> phrase.matches("(?i).*(dear|17|3rd|ostrel).*") || phrase.matches("(?i)visits"));
    }

    @Test
    void fromOneMessageAPairIsKeptAndTheRestIsListed() {
        otherMail();
        mail("anna@school.example", "Guided visit for 20 pupils");
        mail("bo@school.example", "Class 4b: guided visit on 3 May");
        int example = mail("cy@school.example", "May we have a guided visit?");
        Start start = Start.of(corpus.since(Instant.EPOCH), example, java.util.Optional.empty(), Mails.VISITS);
        assertThat(start.kept())
                .extracting(kept -> Mails.words(kept.criterion().statement()))
                .containsExactly("from anyone at school.example", "with “guided visit” in the subject");
        assertThat(start.also())
                .extracting(also -> Mails.words(also.criterion().statement()))
                .contains("from cy@school.example");
    }

    @Test
    void whatIsTypedIsCompletedFromRealMailWithItsCounts() {
        otherMail();
        mail("anna@school.example", "Guided visit for 20 pupils");
        mail("bo@school.example", "Two guided visits");
        assertThat(Completions.of(corpus.since(Instant.EPOCH), Completions.Of.SENDER, "scho", Mails.VISITS))
                .startsWith(new Completions.Completion("school.example", 2));
        assertThat(Completions.of(corpus.since(Instant.EPOCH), Completions.Of.SENDER, "", Mails.VISITS))
                .as("nothing typed: those of most messages")
                .isNotEmpty()
                .allMatch(one -> one.value().contains("@"));
        assertThat(Completions.of(corpus.since(Instant.EPOCH), Completions.Of.WORDS, "GUID", Mails.VISITS))
                .extracting(Completions.Completion::value)
                .containsExactly("Guided", "Guided visit");
        assertThat(Completions.of(corpus.since(Instant.EPOCH), Completions.Of.WORDS, "isit", Mails.VISITS))
                .isEmpty();
    }

    @Test
    void anExceptionSparesLittleMoreThanTheMessageItIsFor() {
        List<Integer> picked = new java.util.ArrayList<>();
        for (int i = 0; i < 10; i++) {
            picked.add(mail("a@school.example", "Guided visit, class " + i));
        }
        picked.add(mail("a@school.example", "Price list, guided visit"));
        int example = mail("b@school.example", "The price list, guided visit fees");
        picked.add(example);
        Exceptions.Excluded first = Exceptions.of(corpus.since(Instant.EPOCH), picked, example, Mails.VISITS)
                .get(0);
        assertThat(Mails.words(first.criterion().statement())).isEqualTo("with “price list” in the subject");
        assertThat(first.excludes()).isEqualTo(2);
        assertThat(first.keeps()).isEqualTo(10);
    }

    @Test
    void aRuleThatNearlyTakesAMessageTakesItWithOneValueMore() {
        MessageView seen = Mails.view(Mails.read(Mails.from("anna@school.example", "Class booking for May", "x")));
        app.jubek.core.criteria.Criterion picksOut = new app.jubek.core.criteria.Group(
                app.jubek.core.criteria.Group.Quantifier.ALL,
                List.of(
                        Where.SENDER_DOMAIN.test(List.of("school.example")),
                        TextCriterion.phrases(MessagePart.Kind.SUBJECT, List.of("guided visit"))));
        Rule rule = new Rule(
                new RuleId("r"), 1, "r", picksOut, new Nothing(), List.of(new Step.File("X")), Ending.STOP_HERE, true);
        Addition addition = Addition.of(rule, seen, Mails.VISITS).orElseThrow();
        assertThat(addition.value()).isEqualTo("Class booking");
        assertThat(addition.changed().picksOut().holds(seen)).isTrue();
        assertThat(Addition.of(addition.changed(), seen, Mails.VISITS)).isEmpty();
    }
}
