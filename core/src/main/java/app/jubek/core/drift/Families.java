package app.jubek.core.drift;

import app.jubek.core.address.MailAddress;
import app.jubek.core.corpus.Corpus;
import app.jubek.core.matching.Folding;
import app.jubek.core.people.OwnSide;
import app.jubek.core.recurring.Kind;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Mail that belongs together: of one kind, of one sender, or of one sender's name. */
final class Families {
    private Families() {}

    static List<BitSet> of(Corpus.View past, List<Kind> kinds, OwnSide own) {
        List<BitSet> families = new ArrayList<>();
        kinds.forEach(kind -> families.add(set(kind.members())));
        Map<String, BitSet> bySender = new LinkedHashMap<>();
        Map<String, BitSet> byName = new LinkedHashMap<>();
        for (int at = 0; at < past.size(); at++) {
            Optional<MailAddress> sender = past.message(at).message().sender().filter(from -> !own.isOwn(from));
            if (sender.isPresent()) {
                put(at, sender.get().key(), bySender);
                put(at, Folding.fold(sender.get().name()).strip(), byName);
            }
        }
        byName.remove("");
        families.addAll(bySender.values());
        families.addAll(byName.values());
        return families;
    }

    private static void put(int at, String key, Map<String, BitSet> into) {
        into.computeIfAbsent(key, k -> new BitSet()).set(at);
    }

    static BitSet set(List<Integer> places) {
        BitSet set = new BitSet();
        places.forEach(set::set);
        return set;
    }
}
