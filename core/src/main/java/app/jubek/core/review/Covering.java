package app.jubek.core.review;

import app.jubek.core.address.Domains;
import app.jubek.core.criteria.AddressCriterion;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Everything;
import app.jubek.core.criteria.Group;
import app.jubek.core.criteria.MessagePart;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.matching.Covers;
import java.util.List;
import java.util.Set;

/** Whether a criterion holds wherever another does, so far as it can be told from the criteria alone. */
final class Covering {
    private Covering() {}

    /** Never wrongly yes; may be wrongly no. */
    static boolean holdsWherever(Criterion general, Criterion specific) {
        if (general instanceof Everything || specific instanceof Nothing || general.equals(specific)) {
            return true;
        }
        if (general instanceof Group group && group.how() == Group.Quantifier.ALL) {
            return group.criteria().stream().allMatch(each -> holdsWherever(each, specific));
        }
        if (specific instanceof Group group && group.how() == Group.Quantifier.ANY) {
            return group.criteria().stream().allMatch(each -> holdsWherever(general, each));
        }
        boolean bySpecific = specific instanceof Group group
                && group.how() == Group.Quantifier.ALL
                && group.criteria().stream().anyMatch(each -> holdsWherever(general, each));
        boolean byGeneral = general instanceof Group group
                && group.how() == Group.Quantifier.ANY
                && group.criteria().stream().anyMatch(each -> holdsWherever(each, specific));
        return bySpecific || byGeneral || testHolds(general, specific);
    }

    private static boolean testHolds(Criterion general, Criterion specific) {
        if (general instanceof AddressCriterion one && specific instanceof AddressCriterion other) {
            boolean parts = one.part() == other.part()
                    || one.part() == AddressCriterion.AddressField.RECIPIENT && isOfRecipients(other.part())
                    || one.part() == AddressCriterion.AddressField.ANY;
            return parts
                    && !one.negated()
                    && !other.negated()
                    && other.values().stream().allMatch(v -> isAmong(v, other.how(), one));
        }
        return general instanceof TextCriterion one
                && specific instanceof TextCriterion other
                && !one.negated()
                && !other.negated()
                && matches(one.part(), other.part())
                && Covers.all(other.values(), one.values());
    }

    private static boolean isOfRecipients(AddressCriterion.AddressField part) {
        return Set.of(AddressCriterion.AddressField.TO, AddressCriterion.AddressField.CC)
                .contains(part);
    }

    private static boolean isAmong(String value, AddressCriterion.AddressMatch how, AddressCriterion general) {
        String domain = value.substring(value.lastIndexOf('@') + 1);
        return general.values().stream().anyMatch(g -> switch (general.how()) {
            case IS -> how == AddressCriterion.AddressMatch.IS && g.equals(value);
            case AT_DOMAIN -> how != AddressCriterion.AddressMatch.AT_DOMAIN_OR_BELOW && g.equals(domain);
            case AT_DOMAIN_OR_BELOW -> Domains.isAtOrBelow(domain, g);
        });
    }

    private static boolean matches(MessagePart general, MessagePart specific) {
        List<MessagePart.Kind> within = switch (general.kind()) {
            case SUBJECT_OR_TEXT ->
                List.of(
                        MessagePart.Kind.SUBJECT,
                        MessagePart.Kind.BARE_SUBJECT,
                        MessagePart.Kind.TEXT,
                        MessagePart.Kind.ADDED_TEXT,
                        MessagePart.Kind.SUBJECT_OR_ADDED_TEXT);
            case SUBJECT -> List.of(MessagePart.Kind.BARE_SUBJECT);
            case TEXT -> List.of(MessagePart.Kind.ADDED_TEXT);
            default -> List.of();
        };
        return general.equals(specific) || within.contains(specific.kind());
    }

    /** Whether no message can meet all of some criteria, so far as it can be told from them alone. */
    static boolean excludeEachOther(List<Criterion> all) {
        for (Criterion one : all) {
            for (Criterion other : all) {
                if (one instanceof app.jubek.core.criteria.SimpleCriterion test
                        && test.negated()
                        && holdsWherever(test.turned(), other)) {
                    return true;
                }
                if (areDifferentWriters(one, other)) {
                    return true;
                }
            }
        }
        return false;
    }

    /** A message has one sender (common practice; RFC 5322 §3.6.2 allows several). */
    private static boolean areDifferentWriters(Criterion one, Criterion other) {
        return one instanceof AddressCriterion a
                && other instanceof AddressCriterion b
                && a.part() == AddressCriterion.AddressField.SENDER
                && b.part() == AddressCriterion.AddressField.SENDER
                && !a.negated()
                && !b.negated()
                && a.values().stream().noneMatch(v -> isAmong(v, a.how(), b))
                && b.values().stream().noneMatch(v -> isAmong(v, b.how(), a));
    }
}
