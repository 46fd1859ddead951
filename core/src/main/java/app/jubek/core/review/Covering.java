package app.jubek.core.review;

import app.jubek.core.address.Domains;
import app.jubek.core.criteria.AddressTest;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Everything;
import app.jubek.core.criteria.Group;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.criteria.Part;
import app.jubek.core.criteria.TextTest;
import app.jubek.core.text.Covers;
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
        if (general instanceof Group group && group.how() == Group.How.ALL) {
            return group.criteria().stream().allMatch(each -> holdsWherever(each, specific));
        }
        if (specific instanceof Group group && group.how() == Group.How.ANY) {
            return group.criteria().stream().allMatch(each -> holdsWherever(general, each));
        }
        boolean bySpecific = specific instanceof Group group
                && group.how() == Group.How.ALL
                && group.criteria().stream().anyMatch(each -> holdsWherever(general, each));
        boolean byGeneral = general instanceof Group group
                && group.how() == Group.How.ANY
                && group.criteria().stream().anyMatch(each -> holdsWherever(each, specific));
        return bySpecific || byGeneral || testHolds(general, specific);
    }

    private static boolean testHolds(Criterion general, Criterion specific) {
        if (general instanceof AddressTest one && specific instanceof AddressTest other) {
            boolean parts = one.part() == other.part()
                    || one.part() == AddressTest.Part.RECIPIENT && isOfRecipients(other.part())
                    || one.part() == AddressTest.Part.ANY;
            return parts
                    && !one.negated()
                    && !other.negated()
                    && other.values().stream().allMatch(v -> isAmong(v, other.how(), one));
        }
        return general instanceof TextTest one
                && specific instanceof TextTest other
                && !one.negated()
                && !other.negated()
                && reaches(one.part(), other.part())
                && Covers.all(other.values(), one.values());
    }

    private static boolean isOfRecipients(AddressTest.Part part) {
        return Set.of(AddressTest.Part.TO, AddressTest.Part.CC).contains(part);
    }

    private static boolean isAmong(String value, AddressTest.How how, AddressTest general) {
        String domain = value.substring(value.lastIndexOf('@') + 1);
        return general.values().stream().anyMatch(g -> switch (general.how()) {
            case IS -> how == AddressTest.How.IS && g.equals(value);
            case AT_DOMAIN -> how != AddressTest.How.AT_DOMAIN_OR_BELOW && g.equals(domain);
            case AT_DOMAIN_OR_BELOW -> Domains.isAtOrBelow(domain, g);
        });
    }

    private static boolean reaches(Part general, Part specific) {
        List<Part.Kind> within = switch (general.kind()) {
            case SUBJECT_OR_TEXT ->
                List.of(
                        Part.Kind.SUBJECT,
                        Part.Kind.BARE_SUBJECT,
                        Part.Kind.TEXT,
                        Part.Kind.ADDED_TEXT,
                        Part.Kind.SUBJECT_OR_ADDED_TEXT);
            case SUBJECT -> List.of(Part.Kind.BARE_SUBJECT);
            case TEXT -> List.of(Part.Kind.ADDED_TEXT);
            default -> List.of();
        };
        return general.equals(specific) || within.contains(specific.kind());
    }

    /** Whether no message can meet all of some criteria, so far as it can be told from them alone. */
    static boolean excludeEachOther(List<Criterion> all) {
        for (Criterion one : all) {
            for (Criterion other : all) {
                if (one instanceof app.jubek.core.criteria.Test test
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

    /** A message has one writer (common practice; RFC 5322 §3.6.2 allows several). */
    private static boolean areDifferentWriters(Criterion one, Criterion other) {
        return one instanceof AddressTest a
                && other instanceof AddressTest b
                && a.part() == AddressTest.Part.SENDER
                && b.part() == AddressTest.Part.SENDER
                && !a.negated()
                && !b.negated()
                && a.values().stream().noneMatch(v -> isAmong(v, a.how(), b))
                && b.values().stream().noneMatch(v -> isAmong(v, b.how(), a));
    }
}
