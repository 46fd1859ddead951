package app.jubek.core.recurring;

import app.jubek.core.address.MailAddress;
import app.jubek.core.corpus.PastMessage;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/** Who writes the mail of a kind: one address, a few domains, or anybody. */
final class WrittenBy {
    private static final double NEARLY_ALL = 0.9;
    private static final int FEW = 5;

    private WrittenBy() {}

    static Kind.Who of(List<PastMessage> messages, Set<String> sharedDomains) {
        List<MailAddress> senders = messages.stream()
                .map(m -> m.message().sender())
                .flatMap(Optional::stream)
                .toList();
        List<Map.Entry<String, Long>> addresses = counted(senders, MailAddress::key);
        if (!addresses.isEmpty() && addresses.get(0).getValue() >= NEARLY_ALL * messages.size()) {
            String address = addresses.get(0).getKey();
            String name = senders.stream()
                    .filter(w -> w.key().equals(address))
                    .map(MailAddress::name)
                    .findFirst()
                    .orElse("");
            return new Kind.Who.Address(address, name);
        }
        List<Map.Entry<String, Long>> domains = counted(senders, MailAddress::domain);
        boolean shared = domains.stream().anyMatch(d -> sharedDomains.contains(d.getKey()));
        long ofFew = domains.stream().limit(FEW).mapToLong(Map.Entry::getValue).sum();
        if (!shared && ofFew >= NEARLY_ALL * messages.size()) {
            return new Kind.Who.Domains(
                    domains.stream().limit(FEW).map(Map.Entry::getKey).toList());
        }
        return new Kind.Who.Anybody(addresses.size());
    }

    private static List<Map.Entry<String, Long>> counted(List<MailAddress> senders, Function<MailAddress, String> by) {
        Map<String, Long> counts = senders.stream().collect(Collectors.groupingBy(by, Collectors.counting()));
        return counts.entrySet().stream()
                .sorted(Map.Entry.<String, Long>comparingByValue(Comparator.reverseOrder())
                        .thenComparing(Map.Entry::getKey))
                .toList();
    }
}
