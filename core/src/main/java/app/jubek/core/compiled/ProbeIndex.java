package app.jubek.core.compiled;

import app.jubek.core.criteria.AddressTest;
import app.jubek.core.criteria.InHand;
import app.jubek.core.criteria.Part;
import app.jubek.core.criteria.Probe;
import app.jubek.core.criteria.TextTest;
import app.jubek.core.text.Budget;
import app.jubek.core.text.ComparedText;
import app.jubek.core.text.Comparison;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;

/** Many probes, made ready to be looked for together. Safe for use by several threads. */
public final class ProbeIndex {
    private final int size;
    private final List<Channel> channels;
    private final List<AddressIndex> addresses;
    private final List<Single> singles;
    private final Queue<ComparedText> spareBuffers = new ConcurrentLinkedQueue<>();

    private record Single(Probe probe, int number) {}

    private record ChannelKey(Part atom, Comparison comparison) {}

    private ProbeIndex(int size, List<Channel> channels, List<AddressIndex> addresses, List<Single> singles) {
        this.size = size;
        this.channels = channels;
        this.addresses = addresses;
        this.singles = singles;
    }

    /**
     * @param probes a probe's number is its place in the list; none is there twice
     */
    public static ProbeIndex of(List<Probe> probes) {
        Map<ChannelKey, Channel.Builder> channels = new LinkedHashMap<>();
        Map<AddressTest.Part, AddressIndex> addresses = new EnumMap<>(AddressTest.Part.class);
        List<Single> singles = new ArrayList<>();
        for (int number = 0; number < probes.size(); number++) {
            Probe probe = probes.get(number);
            if (probe instanceof TextTest.ValueProbe words) {
                for (Part atom : words.atoms()) {
                    channels.computeIfAbsent(
                                    new ChannelKey(atom, words.value().comparison()), key -> new Channel.Builder())
                            .add(words.value(), number);
                }
            } else if (probe instanceof AddressTest.AddressProbe address) {
                addresses.computeIfAbsent(address.part(), AddressIndex::new).add(address, number);
            } else {
                singles.add(new Single(probe, number));
            }
        }
        List<Channel> built = new ArrayList<>();
        channels.forEach((key, builder) -> built.add(builder.build(key.atom(), key.comparison())));
        return new ProbeIndex(probes.size(), List.copyOf(built), List.copyOf(addresses.values()), List.copyOf(singles));
    }

    public Findings look(InHand message) {
        Findings findings = new Findings(size);
        ComparedText spare = spareBuffers.poll();
        ComparedText buffer = (spare == null ? new ComparedText() : spare).spending(message.budget());
        channels.forEach(channel -> channel.look(message.written(channel.atom()), buffer, findings));
        spareBuffers.add(buffer);
        addresses.forEach(index -> index.look(message, findings));
        message.budget().ask();
        singles.forEach(single -> look(single, message, findings));
        return findings;
    }

    private static void look(Single single, InHand message, Findings findings) {
        try {
            if (single.probe().hits(message)) {
                findings.hit(single.number());
            }
        } catch (Budget.Spent spent) {
            throw spent;
        } catch (RuntimeException broke) {
            findings.broke(single.number());
        }
    }
}
