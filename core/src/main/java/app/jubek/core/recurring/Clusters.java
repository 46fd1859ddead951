package app.jubek.core.recurring;

import app.jubek.core.address.MailAddress;
import app.jubek.core.corpus.PastMessage;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/** Puts patterns of subjects together that differ by what varies at their end, or whose texts are of one cluster. */
final class Clusters {
    /** So many messages of a group show its cluster. */
    private static final int SAMPLE = 40;

    private final List<Set<Integer>> profiles = new ArrayList<>();
    private final List<Optional<String>> writers = new ArrayList<>();
    private final int[] parent;

    private Clusters(List<List<SubjectGroup>> groups, List<PastMessage> messages) {
        parent = new int[groups.size()];
        Map<Integer, List<Integer>> groupsOf = new HashMap<>();
        for (int i = 0; i < groups.size(); i++) {
            parent[i] = i;
            List<Integer> members = groups.get(i).stream()
                    .flatMap(group -> group.members().stream())
                    .toList();
            Set<Integer> profile = Shingles.profile(members.stream()
                    .limit(SAMPLE)
                    .map(place -> Shingles.of(messages.get(place).message()))
                    .toList());
            profiles.add(profile);
            writers.add(onlyWriter(members, messages));
            for (Integer shingle : profile) {
                groupsOf.computeIfAbsent(shingle, s -> new ArrayList<>()).add(i);
            }
        }
        for (int i = 0; i < groups.size(); i++) {
            joinWithAlike(i, groupsOf);
        }
    }

    static List<List<SubjectGroup>> merged(List<SubjectGroup> groups, List<PastMessage> messages) {
        List<List<SubjectGroup>> alike = ofOneBeginning(groups);
        Clusters clusters = new Clusters(alike, messages);
        Map<Integer, List<SubjectGroup>> merged = new LinkedHashMap<>();
        for (int i = 0; i < alike.size(); i++) {
            merged.computeIfAbsent(clusters.root(i), r -> new ArrayList<>()).addAll(alike.get(i));
        }
        return List.copyOf(merged.values());
    }

    /** "Bee hotel" and "Bee hotel (17)" are one. */
    private static List<List<SubjectGroup>> ofOneBeginning(List<SubjectGroup> groups) {
        Map<String, List<SubjectGroup>> byBeginning = new LinkedHashMap<>();
        groups.forEach(group -> byBeginning
                .computeIfAbsent(group.beginning(), b -> new ArrayList<>())
                .add(group));
        return List.copyOf(byBeginning.values());
    }

    /** By the displayed name, which stays when an address changes; by the address where there is none. */
    private static Optional<String> onlyWriter(List<Integer> members, List<PastMessage> messages) {
        List<String> senders = members.stream()
                .map(place -> messages.get(place)
                        .message()
                        .sender()
                        .map(MailAddress::shown)
                        .orElse(""))
                .distinct()
                .limit(2)
                .toList();
        return senders.size() == 1 ? Optional.of(senders.get(0)) : Optional.empty();
    }

    private void joinWithAlike(int group, Map<Integer, List<Integer>> groupsOf) {
        Map<Integer, Integer> shared = new TreeMap<>();
        for (Integer shingle : profiles.get(group)) {
            groupsOf.get(shingle).stream()
                    .filter(other -> other < group)
                    .forEach(o -> shared.merge(o, 1, Integer::sum));
        }
        shared.keySet().stream()
                .filter(other ->
                        Shingles.ofOneCluster(profiles.get(group), profiles.get(other), ofOneWriter(group, other)))
                .forEach(other -> parent[root(group)] = root(other));
    }

    private boolean ofOneWriter(int group, int other) {
        return writers.get(group).isPresent() && writers.get(group).equals(writers.get(other));
    }

    private int root(int group) {
        int at = group;
        while (parent[at] != at) {
            parent[at] = parent[parent[at]];
            at = parent[at];
        }
        return at;
    }
}
