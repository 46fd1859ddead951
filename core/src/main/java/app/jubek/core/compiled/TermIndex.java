package app.jubek.core.compiled;

import app.jubek.core.criteria.AddressCriterion;
import app.jubek.core.criteria.MessagePart;
import app.jubek.core.criteria.TermMatcher;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.matching.ComparedText;
import app.jubek.core.matching.Comparison;
import app.jubek.core.text.Budget;
import app.jubek.core.view.MessageView;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;

/** Many terms, made ready to be looked for together. Safe for use by several threads. */
public final class TermIndex {
    private final int size;
    private final List<Channel> channels;
    private final List<AddressIndex> addresses;
    private final List<Single> singles;
    private final Queue<ComparedText> spareBuffers = new ConcurrentLinkedQueue<>();

    private record Single(TermMatcher term, int number) {}

    private record ChannelKey(MessagePart atom, Comparison comparison) {}

    private TermIndex(int size, List<Channel> channels, List<AddressIndex> addresses, List<Single> singles) {
        this.size = size;
        this.channels = channels;
        this.addresses = addresses;
        this.singles = singles;
    }

    /**
     * @param terms a term's number is its place in the list; none is there twice
     */
    public static TermIndex of(List<TermMatcher> terms) {
        Map<ChannelKey, Channel.Builder> channels = new LinkedHashMap<>();
        Map<AddressCriterion.AddressField, AddressIndex> addresses = new EnumMap<>(AddressCriterion.AddressField.class);
        List<Single> singles = new ArrayList<>();
        for (int number = 0; number < terms.size(); number++) {
            TermMatcher term = terms.get(number);
            if (term instanceof TextCriterion.ValueMatcher words) {
                for (MessagePart atom : words.atoms()) {
                    channels.computeIfAbsent(
                                    new ChannelKey(atom, words.value().comparison()), key -> new Channel.Builder())
                            .add(words.value(), number);
                }
            } else if (term instanceof AddressCriterion.AddressMatcher address) {
                addresses.computeIfAbsent(address.part(), AddressIndex::new).add(address, number);
            } else {
                singles.add(new Single(term, number));
            }
        }
        List<Channel> built = new ArrayList<>();
        channels.forEach((key, builder) -> built.add(builder.build(key.atom(), key.comparison())));
        return new TermIndex(terms.size(), List.copyOf(built), List.copyOf(addresses.values()), List.copyOf(singles));
    }

    public FoundTerms look(MessageView message) {
        FoundTerms findings = new FoundTerms(size);
        ComparedText spare = spareBuffers.poll();
        ComparedText buffer = (spare == null ? new ComparedText() : spare).spending(message.budget());
        channels.forEach(channel -> channel.look(message.written(channel.atom()), buffer, findings));
        spareBuffers.add(buffer);
        addresses.forEach(index -> index.look(message, findings));
        message.budget().ask();
        singles.forEach(single -> look(single, message, findings));
        return findings;
    }

    private static void look(Single single, MessageView message, FoundTerms findings) {
        try {
            if (single.term().hits(message)) {
                findings.hit(single.number());
            }
        } catch (Budget.Spent spent) {
            throw spent;
        } catch (RuntimeException broke) {
            findings.broke(single.number());
        }
    }
}
