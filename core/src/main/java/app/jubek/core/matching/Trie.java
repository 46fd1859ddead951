package app.jubek.core.matching;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * Strings by their beginnings, all of them at least as long as a given prefix. What no two strings share is held in one
 * piece, so that a walk ends after few steps.
 */
final class Trie {
    private static final int NONE = -1;

    private final int prefix;
    private final Edges roots;
    private final Edges children;
    private final StringBuilder pieces = new StringBuilder();
    private final List<int[]> nodes = new ArrayList<>();
    private final char[] piece;
    private final int[] from;
    private final int[] length;
    private final int[] ends;

    /** Keys to nodes, open-addressed. */
    private static final class Edges {
        private final int mask;
        private final long[] keys;
        private final int[] targets;

        Edges(int count) {
            int size = Integer.highestOneBit(Math.max(8, count)) * 4;
            mask = size - 1;
            keys = new long[size];
            targets = new int[size];
        }

        void put(long key, int target) {
            int slot = slot(key);
            while (targets[slot] != 0) {
                slot = (slot + 1) & mask;
            }
            keys[slot] = key;
            targets[slot] = target + 1;
        }

        int get(long key) {
            int slot = slot(key);
            while (targets[slot] != 0) {
                if (keys[slot] == key) {
                    return targets[slot] - 1;
                }
                slot = (slot + 1) & mask;
            }
            return NONE;
        }

        private int slot(long key) {
            return (int) ((key * 0x9E3779B97F4A7C15L) >>> 32) & mask;
        }
    }

    private Trie(List<String> strings, int[] numbers, int prefix) {
        this.prefix = prefix;
        roots = new Edges(numbers.length);
        children = new Edges(numbers.length * 2);
        Map<Long, List<Integer>> byPrefix = new TreeMap<>();
        for (int number : numbers) {
            byPrefix.computeIfAbsent(key(strings.get(number).toCharArray(), 0), k -> new ArrayList<>())
                    .add(number);
        }
        byPrefix.forEach((key, group) -> {
            group.sort(Comparator.comparing(strings::get));
            roots.put(key, grow(strings, group, prefix));
        });
        piece = pieces.toString().toCharArray();
        from = nodes.stream().mapToInt(n -> n[0]).toArray();
        length = nodes.stream().mapToInt(n -> n[1]).toArray();
        ends = nodes.stream().mapToInt(n -> n[2]).toArray();
        nodes.clear();
        pieces.setLength(0);
        pieces.trimToSize();
    }

    /**
     * @param numbers which of the strings are in it; a string's number is its place in the list
     * @param prefix 1 to 4 units, and no string is shorter
     */
    static Trie of(List<String> strings, int[] numbers, int prefix) {
        return new Trie(strings, numbers, prefix);
    }

    /** A node for sorted strings that are alike up to a depth. */
    private int grow(List<String> strings, List<Integer> group, int depth) {
        String first = strings.get(group.get(0));
        String last = strings.get(group.get(group.size() - 1));
        int alike = depth;
        while (alike < first.length() && alike < last.length() && first.charAt(alike) == last.charAt(alike)) {
            alike++;
        }
        boolean endsHere = first.length() == alike;
        int node = nodes.size();
        nodes.add(new int[] {pieces.length(), alike - depth, endsHere ? group.get(0) : NONE});
        pieces.append(first, depth, alike);
        int begin = endsHere ? 1 : 0;
        while (begin < group.size()) {
            char unit = strings.get(group.get(begin)).charAt(alike);
            int end = begin;
            while (end < group.size() && strings.get(group.get(end)).charAt(alike) == unit) {
                end++;
            }
            children.put(edge(node, unit), grow(strings, group.subList(begin, end), alike + 1));
            begin = end;
        }
        return node;
    }

    private static long edge(int node, char unit) {
        return ((long) node << 16) | unit;
    }

    private long key(char[] text, int at) {
        long key = 0;
        for (int i = 0; i < prefix; i++) {
            key = (key << 16) | text[at + i];
        }
        return key;
    }

    /** Tells of every string that stands at a place; as many units as the prefix has must be there. */
    void walk(char[] text, int end, int start, PhraseIndex.Found found) {
        int node = roots.get(key(text, start));
        int at = start + prefix;
        while (node != NONE) {
            int size = length[node];
            if (at + size > end || !Arrays.equals(text, at, at + size, piece, from[node], from[node] + size)) {
                return;
            }
            at += size;
            if (ends[node] != NONE) {
                found.at(ends[node], start, at);
            }
            node = at < end ? children.get(edge(node, text[at])) : NONE;
            at++;
        }
    }
}
