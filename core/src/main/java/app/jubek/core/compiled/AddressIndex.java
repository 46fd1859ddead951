package app.jubek.core.compiled;

import app.jubek.core.criteria.AddressCriterion;
import app.jubek.core.criteria.Searchable;
import java.util.HashMap;
import java.util.Map;

/** Whole addresses, domains and domains with all below them, looked up in one part. */
final class AddressIndex {
    private final AddressCriterion.AddressField part;
    private final Map<String, Integer> whole = new HashMap<>();
    private final Map<String, Integer> domains = new HashMap<>();
    private final Map<String, Integer> above = new HashMap<>();
    private final Map<AddressCriterion.AddressMatch, Map<String, Integer>> byHow = Map.of(
            AddressCriterion.AddressMatch.IS, whole,
            AddressCriterion.AddressMatch.AT_DOMAIN, domains,
            AddressCriterion.AddressMatch.AT_DOMAIN_OR_BELOW, above);

    AddressIndex(AddressCriterion.AddressField part) {
        this.part = part;
    }

    void add(AddressCriterion.AddressMatcher term, int number) {
        byHow.get(term.how()).put(term.value(), number);
    }

    void look(Searchable message, FoundTerms findings) {
        for (String address : message.addresses(part)) {
            hit(whole, address, findings);
            String domain = address.substring(address.lastIndexOf('@') + 1);
            hit(domains, domain, findings);
            int at = 0;
            while (at >= 0 && !above.isEmpty()) {
                hit(above, domain.substring(at), findings);
                int dot = domain.indexOf('.', at);
                at = dot < 0 ? -1 : dot + 1;
            }
        }
    }

    private static void hit(Map<String, Integer> terms, String key, FoundTerms findings) {
        Integer term = terms.get(key);
        if (term != null) {
            findings.hit(term);
        }
    }
}
