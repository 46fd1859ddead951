package app.jubek.core.compiled;

import app.jubek.core.criteria.AddressTest;
import app.jubek.core.criteria.Searchable;
import java.util.HashMap;
import java.util.Map;

/** Whole addresses, domains and domains with all below them, looked up in one part. */
final class AddressIndex {
    private final AddressTest.Part part;
    private final Map<String, Integer> whole = new HashMap<>();
    private final Map<String, Integer> domains = new HashMap<>();
    private final Map<String, Integer> above = new HashMap<>();
    private final Map<AddressTest.How, Map<String, Integer>> byHow = Map.of(
            AddressTest.How.IS, whole,
            AddressTest.How.AT_DOMAIN, domains,
            AddressTest.How.AT_DOMAIN_OR_BELOW, above);

    AddressIndex(AddressTest.Part part) {
        this.part = part;
    }

    void add(AddressTest.AddressProbe probe, int number) {
        byHow.get(probe.how()).put(probe.value(), number);
    }

    void look(Searchable message, Findings findings) {
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

    private static void hit(Map<String, Integer> probes, String key, Findings findings) {
        Integer probe = probes.get(key);
        if (probe != null) {
            findings.hit(probe);
        }
    }
}
