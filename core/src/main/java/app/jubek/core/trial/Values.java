package app.jubek.core.trial;

import app.jubek.core.criteria.AddressCriterion;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Everything;
import app.jubek.core.criteria.Group;
import app.jubek.core.criteria.OrderCriterion;
import app.jubek.core.criteria.SimpleCriterion;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.criteria.TraitCriterion;
import java.util.ArrayList;
import java.util.List;

/** The values of a test, one by one. */
final class Values {
    /** Holds for no message; unlike {@link app.jubek.core.criteria.Nothing} it may pick out what a rule picks. */
    static final Criterion NEVER = new Group(Group.Quantifier.NONE, List.of(new Everything()));

    private Values() {}

    /** The test with one of its values left out, or what it comes to when that was the only one. */
    static Criterion without(SimpleCriterion test, int value) {
        if (test.terms().size() < 2) {
            return test.negated() ? new Everything() : NEVER;
        }
        return with(test, test.negated(), value, false);
    }

    /** What the test looks for by one of its values, negation aside. */
    static Criterion alone(SimpleCriterion test, int value) {
        return with(test, false, value, true);
    }

    private static Criterion with(SimpleCriterion test, boolean negated, int value, boolean only) {
        if (test instanceof TextCriterion words) {
            return new TextCriterion(words.part(), chosen(words.values(), value, only), negated);
        }
        if (test instanceof AddressCriterion address) {
            return new AddressCriterion(address.part(), address.how(), chosen(address.values(), value, only), negated);
        }
        if (test instanceof OrderCriterion order) {
            return new OrderCriterion(
                    order.part(), order.relation(), order.order(), chosen(order.values(), value, only), negated);
        }
        if (test instanceof TraitCriterion traits) {
            return new TraitCriterion(chosen(traits.traits(), value, only), negated);
        }
        return test.negated() == negated ? test : test.turned();
    }

    private static <T> List<T> chosen(List<T> all, int value, boolean only) {
        if (only) {
            return List.of(all.get(value));
        }
        List<T> rest = new ArrayList<>(all);
        rest.remove(value);
        return rest;
    }
}
