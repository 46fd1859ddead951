package app.jubek.core.criteria;

import app.jubek.core.address.Domains;
import app.jubek.core.address.MailAddress;
import app.jubek.core.text.Words;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * A test of addresses. A displayed name is not seen by it.
 *
 * @param values addresses or domains, according to {@code how}
 */
public record AddressTest(Part part, How how, List<String> values, boolean negated) implements Test {

    /** Whose address. */
    public enum Part {
        SENDER("from "),
        RECIPIENT("written to "),
        TO("written straight to "),
        CC("with a copy to "),
        ANY("with an address of "),
        RETURN_PATH("with the return path "),
        DELIVERED_TO("delivered to ");

        private final String words;

        Part(String words) {
            this.words = words;
        }
    }

    /** How an address is compared. */
    public enum How {
        IS,
        AT_DOMAIN,
        AT_DOMAIN_OR_BELOW
    }

    public AddressTest {
        if (values.isEmpty()) {
            throw new IllegalArgumentException("a criterion needs at least one value");
        }
        boolean wholeAddress = how == How.IS;
        values = values.stream()
                .map(value -> wholeAddress ? MailAddress.of(value).key() : Domains.typed(value))
                .toList();
    }

    @Override
    public Test turned() {
        return new AddressTest(part, how, values, !negated);
    }

    @Override
    public List<Probe> probes() {
        return values.stream().<Probe>map(v -> new AddressProbe(part, how, v)).toList();
    }

    @Override
    public List<String> written() {
        return values;
    }

    @Override
    public List<Optional<Integer>> covered() {
        Map<String, Integer> first = new HashMap<>();
        for (int i = 0; i < values.size(); i++) {
            first.putIfAbsent(values.get(i), i);
        }
        return IntStream.range(0, values.size())
                .mapToObj(i -> covered(i, first))
                .toList();
    }

    /** By the same value before it, or by a domain above it. */
    private Optional<Integer> covered(int value, Map<String, Integer> first) {
        String own = values.get(value);
        int covering = first.get(own) < value ? first.get(own) : Integer.MAX_VALUE;
        for (int dot = own.indexOf('.'); how == How.AT_DOMAIN_OR_BELOW && dot >= 0; dot = own.indexOf('.', dot + 1)) {
            covering = Math.min(covering, first.getOrDefault(own.substring(dot + 1), Integer.MAX_VALUE));
        }
        return Optional.of(covering).filter(found -> found < Integer.MAX_VALUE);
    }

    @Override
    public String inWords() {
        String where = switch (how) {
            case IS -> "";
            case AT_DOMAIN -> "anyone exactly at ";
            case AT_DOMAIN_OR_BELOW -> "anyone at ";
        };
        return (negated ? "not " : "") + part.words + where + Words.or(values);
    }

    /** An address or a domain, in a part. */
    public record AddressProbe(Part part, How how, String value) implements Probe {
        @Override
        public boolean hits(Searchable message) {
            for (String address : message.addresses(part)) {
                if (hits(address)) {
                    return true;
                }
            }
            return false;
        }

        private boolean hits(String address) {
            if (how == How.IS) {
                return address.equals(value);
            }
            String domain = address.substring(address.lastIndexOf('@') + 1);
            return how == How.AT_DOMAIN ? domain.equals(value) : Domains.isAtOrBelow(domain, value);
        }
    }
}
