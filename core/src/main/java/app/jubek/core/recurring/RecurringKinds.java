package app.jubek.core.recurring;

import app.jubek.core.address.MailAddress;
import app.jubek.core.corpus.PastMessage;
import app.jubek.core.message.Subjects;
import app.jubek.core.people.OwnSide;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Groups past mail into what keeps coming. A list's mail is one kind. Other mail is grouped by the pattern of its
 * subject; patterns whose texts are of one cluster are one kind; what is left is grouped by sender. Groups only ever take
 * messages in, in the order of their arrival, so that a few more of them change little.
 */
public final class RecurringKinds {
    private static final int LEAST = 4;
    /** Writers of so many kinds at one domain have no more than their provider in common. */
    private static final int SHARED = 4;

    private final List<PastMessage> messages;
    private final OwnSide own;
    private final Map<String, List<Integer>> lists = new LinkedHashMap<>();
    private final SubjectGroups groups = new SubjectGroups();

    private RecurringKinds(List<PastMessage> messages, OwnSide own) {
        this.messages = messages;
        this.own = own;
    }

    /**
     * @param messages in order of arrival
     * @return kinds of at least four messages on at least two days, the largest first
     */
    public static List<Kind> of(List<PastMessage> messages, OwnSide own) {
        return new RecurringKinds(messages, own).found();
    }

    private List<Kind> found() {
        for (int i = 0; i < messages.size(); i++) {
            sort(i);
        }
        List<Kind> kinds = new ArrayList<>();
        lists.forEach((key, members) -> kinds.add(listKind(key, members)));
        Map<Boolean, List<List<SubjectGroup>>> large = Clusters.merged(groups.all(), messages).stream()
                .collect(Collectors.partitioningBy(cluster -> size(cluster) >= LEAST));
        List<List<SubjectGroup>> clusters = Stream.concat(large.get(true).stream(), byWriter(large.get(false)).stream())
                .toList();
        Set<String> shared = sharedDomains(clusters);
        clusters.forEach(cluster -> kinds.add(kind(cluster, shared)));
        return kinds.stream()
                .filter(kind -> kind.size() >= LEAST && days(kind) > 1)
                .sorted(Comparator.comparing(Kind::size).reversed().thenComparing(Kind::key))
                .toList();
    }

    private void sort(int place) {
        PastMessage message = messages.get(place);
        Optional<String> list = ListKey.of(message.message(), own::isOwn);
        if (list.isPresent()) {
            lists.computeIfAbsent(list.get(), key -> new ArrayList<>()).add(place);
        } else {
            SubjectPattern subject = SubjectPattern.of(Subjects.bare(message.subject()));
            groups.fitting(subject).add(subject, place);
        }
    }

    private static int size(List<SubjectGroup> cluster) {
        return cluster.stream().mapToInt(group -> group.members().size()).sum();
    }

    /** Groups that are too small by themselves, put together where one address wrote them. */
    private List<List<SubjectGroup>> byWriter(List<List<SubjectGroup>> small) {
        Map<String, List<SubjectGroup>> byAddress = new LinkedHashMap<>();
        small.stream().flatMap(List::stream).forEach(group -> {
            Set<String> senders = group.members().stream().map(this::sender).collect(Collectors.toSet());
            if (senders.size() == 1) {
                byAddress
                        .computeIfAbsent(senders.iterator().next(), w -> new ArrayList<>())
                        .add(group);
            }
        });
        return List.copyOf(byAddress.values());
    }

    private String sender(int place) {
        return messages.get(place).message().sender().map(MailAddress::key).orElse("");
    }

    private Kind listKind(String key, List<Integer> members) {
        return new Kind("list " + key, new Kind.Who.MailingList(key), List.of(), members, last(members));
    }

    /** Domains at which all sorts of people write all sorts of things, so that they say nothing of a kind. */
    private Set<String> sharedDomains(List<List<SubjectGroup>> clusters) {
        Map<String, Integer> counts = new HashMap<>();
        clusters.stream()
                .filter(cluster -> size(cluster) >= LEAST)
                .forEach(kind -> members(kind).stream()
                        .flatMap(place -> messages.get(place).message().sender().stream())
                        .map(MailAddress::domain)
                        .distinct()
                        .forEach(domain -> counts.merge(domain, 1, Integer::sum)));
        return counts.entrySet().stream()
                .filter(e -> e.getValue() >= SHARED && !own.domains().contains(e.getKey()))
                .map(Map.Entry::getKey)
                .collect(Collectors.toSet());
    }

    private static List<Integer> members(List<SubjectGroup> cluster) {
        return cluster.stream()
                .flatMap(group -> group.members().stream())
                .sorted()
                .toList();
    }

    private Kind kind(List<SubjectGroup> cluster, Set<String> sharedDomains) {
        List<SubjectGroup> sorted = cluster.stream()
                .sorted(Comparator.comparing((SubjectGroup g) -> g.members().size())
                        .reversed())
                .toList();
        List<Integer> members = members(cluster);
        Kind.Who who = WrittenBy.of(members.stream().map(messages::get).toList(), sharedDomains);
        return new Kind(
                "subject " + messages.get(members.get(0)).id(),
                who,
                sorted.stream().map(SubjectGroup::pattern).toList(),
                members,
                last(members));
    }

    private Instant last(List<Integer> members) {
        return messages.get(members.get(members.size() - 1)).received();
    }

    private long days(Kind kind) {
        return kind.members().stream()
                .map(place ->
                        messages.get(place).received().atOffset(ZoneOffset.UTC).toLocalDate())
                .distinct()
                .limit(2)
                .count();
    }
}
