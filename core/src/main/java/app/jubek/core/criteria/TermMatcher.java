package app.jubek.core.criteria;

/** One value of a test as it is looked for; equal terms hit the same messages. */
public sealed interface TermMatcher
        permits AddressCriterion.AddressMatcher,
                TextCriterion.ValueMatcher,
                PresenceCriterion.PresenceMatcher,
                NumberCriterion.NumberMatcher,
                OrderCriterion.OrderMatcher,
                TraitCriterion.TraitMatcher {
    boolean hits(Searchable message);
}
