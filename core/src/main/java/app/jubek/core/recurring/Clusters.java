package app.jubek.core.recurring;

import app.jubek.core.corpus.PastMessage;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/** Puts patterns of subjects together whose texts are of one cluster. */
final class Clusters {
    /** So many messages of a group show its cluster. */
    private static final int SAMPLE = 40;

    private final List<Set<Integer>> profiles = new ArrayList<>();
    private final int[] parent;

    private Clusters(List<SubjectGroup> groups, List<PastMessage> messages) {
        parent = new int[groups.size()];
        Map<Integer, List<Integer>> groupsOf = new HashMap<>();
        for (int i = 0; i < groups.size(); i++) {
            parent[i] = i;
            List<Integer> members = groups.get(i).members();
            Set<Integer> profile = Shingles.profile(members.stream()
                    .limit(SAMPLE)
                    .map(place -> Shingles.of(messages.get(place).message()))
                    .toList());
            profiles.add(profile);
            for (Integer shingle : profile) {
                groupsOf.computeIfAbsent(shingle, s -> new ArrayList<>()).add(i);
            }
        }
        for (int i = 0; i < groups.size(); i++) {
            joinWithAlike(i, groupsOf);
        }
    }

    private void joinWithAlike(int group, Map<Integer, List<Integer>> groupsOf) {
        Map<Integer, Integer> shared = new TreeMap<>();
        for (Integer shingle : profiles.get(group)) {
            groupsOf.get(shingle).stream()
                    .filter(other -> other < group)
                    .forEach(o -> shared.merge(o, 1, Integer::sum));
        }
        shared.keySet().stream()
                .filter(other -> Shingles.ofOneCluster(profiles.get(group), profiles.get(other)))
                .forEach(other -> parent[root(group)] = root(other));
    }

    private int root(int group) {
        int at = group;
        while (parent[at] != at) {
            parent[at] = parent[parent[at]];
            at = parent[at];
        }
        return at;
    }

    static List<List<SubjectGroup>> merged(List<SubjectGroup> groups, List<PastMessage> messages) {
        Clusters clusters = new Clusters(groups, messages);
        Map<Integer, List<SubjectGroup>> merged = new LinkedHashMap<>();
        for (int i = 0; i < groups.size(); i++) {
            merged.computeIfAbsent(clusters.root(i), r -> new ArrayList<>()).add(groups.get(i));
        }
        return List.copyOf(merged.values());
    }
}
