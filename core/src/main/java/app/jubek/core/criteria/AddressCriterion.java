package app.jubek.core.criteria;

import app.jubek.core.address.Domains;
import app.jubek.core.address.MailAddress;
import app.jubek.core.wording.Argument;
import app.jubek.core.wording.Code;
import app.jubek.core.wording.Phrase;
import app.jubek.core.wording.Statement;
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
public record AddressCriterion(AddressField part, AddressMatch how, List<String> values, boolean negated)
        implements SimpleCriterion {

    /** Whose address. */
    public enum AddressField implements Code {
        SENDER,
        RECIPIENT,
        TO,
        CC,
        ANY,
        RETURN_PATH,
        DELIVERED_TO;

        @Override
        public String id() {
            return "ADDRESS_" + name();
        }
    }

    /** How an address is compared. */
    public enum AddressMatch {
        IS,
        AT_DOMAIN,
        AT_DOMAIN_OR_BELOW
    }

    public AddressCriterion {
        if (values.isEmpty()) {
            throw new IllegalArgumentException("a criterion needs at least one value");
        }
        boolean wholeAddress = how == AddressMatch.IS;
        values = values.stream()
                .map(value -> wholeAddress ? MailAddress.of(value).key() : Domains.typed(value))
                .toList();
    }

    @Override
    public SimpleCriterion turned() {
        return new AddressCriterion(part, how, values, !negated);
    }

    @Override
    public List<TermMatcher> terms() {
        return values.stream()
                .<TermMatcher>map(v -> new AddressMatcher(part, how, v))
                .toList();
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
        for (int dot = own.indexOf('.');
                how == AddressMatch.AT_DOMAIN_OR_BELOW && dot >= 0;
                dot = own.indexOf('.', dot + 1)) {
            covering = Math.min(covering, first.getOrDefault(own.substring(dot + 1), Integer.MAX_VALUE));
        }
        return Optional.of(covering).filter(found -> found < Integer.MAX_VALUE);
    }

    @Override
    public Statement statement() {
        Argument listed = Argument.or(values);
        Argument who = switch (how) {
            case IS -> listed;
            case AT_DOMAIN -> CriterionPhrase.ANYONE_EXACTLY_AT.with(listed);
            case AT_DOMAIN_OR_BELOW -> CriterionPhrase.ANYONE_AT.with(listed);
        };
        Statement said = part.with(who);
        return negated ? Phrase.NOT.with(said) : said;
    }

    /** An address or a domain, in a part. */
    public record AddressMatcher(AddressField part, AddressMatch how, String value) implements TermMatcher {
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
            if (how == AddressMatch.IS) {
                return address.equals(value);
            }
            String domain = address.substring(address.lastIndexOf('@') + 1);
            return how == AddressMatch.AT_DOMAIN ? domain.equals(value) : Domains.isAtOrBelow(domain, value);
        }
    }
}
