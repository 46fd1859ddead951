package app.jubek.core.trial;

import app.jubek.core.Mails;
import app.jubek.core.corpus.Corpus;
import app.jubek.core.corpus.PastMessage;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Group;
import app.jubek.core.criteria.MessagePart;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.decide.DecisionContext;
import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.schedule.Schedule;
import app.jubek.core.step.Step;
import app.jubek.core.view.MessageContext;
import app.jubek.core.view.MessageView;
import java.time.Instant;
import java.util.List;

/** Rules and trials of the visits desk. */
final class Trying {
    static final RuleId ID = new RuleId("photos");

    private Trying() {}

    static Rule rule(Criterion picksOut, Criterion leavesOut, Step... steps) {
        return new Rule(ID, 1, "Photo permits", picksOut, leavesOut, List.of(steps), Ending.STOP_HERE, true);
    }

    static Rule rule(Criterion picksOut, Schedule schedule) {
        return new Rule(
                ID,
                1,
                "Photo permits",
                picksOut,
                new Nothing(),
                List.of(new Step.File("Photos")),
                Ending.STOP_HERE,
                schedule,
                true);
    }

    static Criterion subject(String... phrases) {
        return TextCriterion.phrases(MessagePart.Kind.SUBJECT, List.of(phrases));
    }

    static Criterion all(Criterion... criteria) {
        return new Group(Group.Quantifier.ALL, List.of(criteria));
    }

    static MessageView view(String raw, Instant received) {
        MessageContext plain = Mails.context().context();
        return new MessageView(
                Mails.read(raw),
                new MessageContext(
                        plain.own(),
                        plain.people(),
                        received,
                        received,
                        plain.zone(),
                        false,
                        plain.mailbox(),
                        "INBOX",
                        false));
    }

    static Trial trial(String subject, Expectation... expectations) {
        return new Trial(
                subject, view(Mails.from("anna@school.example", subject, "Hello"), Mails.NOW), List.of(expectations));
    }

    static Corpus.View past(String... subjects) {
        Corpus corpus = new Corpus(100, Long.MAX_VALUE);
        long id = 0;
        for (String subject : subjects) {
            Instant received = Mails.NOW.minusSeconds(86_400 - id);
            corpus.add(new PastMessage(
                    id++, received, view(Mails.from("anna@school.example", subject, "Hello"), received)));
        }
        return corpus.since(Instant.EPOCH);
    }

    /** All proposals of a rule's missing trials, kept. */
    static List<Trial> kept(Rule rule, Corpus.View past, DecisionContext at) {
        RuleBook book = RuleBook.of(List.of(rule));
        return Coverage.of(book, rule, List.of(), past, at).cases().stream()
                .flatMap(one -> one.proposal().map(proposal -> kept(one, proposal, past)).stream())
                .toList();
    }

    private static Trial kept(Case one, Case.Proposal proposal, Corpus.View past) {
        if (proposal instanceof Case.Real real) {
            int place = 0;
            while (past.message(place).id() != real.message()) {
                place++;
            }
            MessageView seen = past.message(place).seen();
            return new Trial(
                    one.key(), new MessageView(seen.message(), seen.context().cameIn(real.at())), real.expectations());
        }
        Case.Invented invented = (Case.Invented) proposal;
        Instant received = invented.sample().received().orElseThrow();
        return new Trial(
                one.key(),
                invented.sample()
                        .view(Mails.VISITS.identity(), Mails.context().context().cameIn(received)),
                invented.expectations());
    }
}
