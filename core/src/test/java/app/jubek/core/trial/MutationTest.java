package app.jubek.core.trial;

import static app.jubek.core.trial.Trying.subject;
import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.Mails;
import app.jubek.core.OpenPast;
import app.jubek.core.corpus.Corpus;
import app.jubek.core.criteria.AddressCriterion;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Group;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.schedule.Period;
import app.jubek.core.schedule.Schedule;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/**
 * Whoever keeps all the trials that are proposed notices every change of a rule: rules over the words and senders of the
 * open mail (datasets), each changed in one thing at a time.
 */
class MutationTest {
    private static final List<String> WORDS = List.of("linux", "perl", "patch", "release", "mail", "problem", "list");
    private static final List<String> DOMAINS = List.of("example.com", "debian.org", "lists.example.net", "perl.org");

    private final Random random = new Random(20261130);

    private Criterion phrases() {
        List<String> chosen = new ArrayList<>(WORDS);
        Collections.shuffle(chosen, random);
        return subject(chosen.subList(0, 1 + random.nextInt(3)).toArray(String[]::new));
    }

    private Criterion senders() {
        return new AddressCriterion(
                AddressCriterion.AddressField.SENDER,
                AddressCriterion.AddressMatch.AT_DOMAIN_OR_BELOW,
                DOMAINS.subList(0, 1 + random.nextInt(2)),
                false);
    }

    private Rule rule() {
        Group.Quantifier how = random.nextBoolean() ? Group.Quantifier.ALL : Group.Quantifier.ANY;
        Criterion picksOut = random.nextInt(3) == 0 ? phrases() : new Group(how, List.of(phrases(), senders()));
        LocalDate first = LocalDate.of(2026, 4, 1 + random.nextInt(20));
        Schedule schedule = random.nextInt(3) > 0
                ? Schedule.ALWAYS
                : new Schedule(Schedule.Hours.ALWAYS, new Period(Optional.of(first), Optional.of(first.plusDays(5))));
        Criterion leavesOut = random.nextBoolean() ? subject("unsubscribe") : new Nothing();
        Rule rule = Trying.rule(picksOut, schedule);
        return rule.leavingOut(leavesOut);
    }

    /** Made apart from what proposes trials, so that one checks the other. */
    private static List<Rule> changed(Rule rule) {
        List<Rule> all = new ArrayList<>();
        rule.picksOut().tests().forEach(test -> {
            for (int i = 0; i < test.written().size(); i++) {
                List<String> rest = new ArrayList<>(test.written());
                String value = rest.remove(i);
                if (test instanceof AddressCriterion address) {
                    rest.add(i, "other-" + value);
                    all.add(picking(rule, address, new AddressCriterion(address.part(), address.how(), rest, false)));
                } else if (!rest.isEmpty()) {
                    all.add(picking(rule, test, subject(rest.toArray(String[]::new))));
                }
            }
        });
        if (rule.picksOut() instanceof Group group) {
            Group.Quantifier other = group.how() == Group.Quantifier.ALL ? Group.Quantifier.ANY : Group.Quantifier.ALL;
            all.add(picking(rule, group, new Group(other, group.criteria())));
        }
        if (rule.hasExceptions()) {
            all.add(rule.leavingOut(new Nothing()));
        }
        rule.schedule().periods().forEach(period -> {
            LocalDate first = period.first().orElseThrow();
            LocalDate last = period.last().orElseThrow();
            all.add(within(rule, first.plusDays(1), last));
            all.add(within(rule, first.minusDays(1), last));
            all.add(within(rule, first, last.plusDays(1)));
            all.add(within(rule, first, last.minusDays(1)));
        });
        return all;
    }

    private static Rule picking(Rule rule, Criterion old, Criterion now) {
        return rule.pickingOut(rule.picksOut().replacing(old, now));
    }

    private static Rule within(Rule rule, LocalDate first, LocalDate last) {
        Schedule schedule = new Schedule(Schedule.Hours.ALWAYS, new Period(Optional.of(first), Optional.of(last)));
        return Trying.rule(rule.picksOut(), schedule).leavingOut(rule.leavesOut());
    }

    @Test
    void nineOfTenChangesMakeATrialFail() {
        Corpus corpus = new Corpus(500, Long.MAX_VALUE);
        OpenPast.withoutListIds().forEach(labelled -> corpus.add(labelled.message()));
        Corpus.View past = corpus.since(Instant.EPOCH);
        int changes = 0;
        int noticed = 0;
        for (int i = 0; i < 50; i++) {
            Rule rule = rule();
            List<Trial> kept = Trying.kept(rule, past, Mails.context());
            assertThat(TrialRun.of(RuleBook.of(List.of(rule)), kept, Mails.context()))
                    .as("what is proposed holds")
                    .allMatch(TrialResult::holds);
            for (Rule other : changed(rule)) {
                changes++;
                noticed += TrialRun.of(RuleBook.of(List.of(other)), kept, Mails.context()).stream()
                                .allMatch(TrialResult::holds)
                        ? 0
                        : 1;
            }
        }
        System.out.printf("of %d changes of 50 rules, trials noticed %d%n", changes, noticed);
        assertThat(noticed).isGreaterThanOrEqualTo(changes * 9 / 10);
    }
}
