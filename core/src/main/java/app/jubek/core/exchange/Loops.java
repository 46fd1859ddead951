package app.jubek.core.exchange;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.corpus.PastMessage;
import app.jubek.core.decide.Engine;
import app.jubek.core.exchange.Exchange.How;
import app.jubek.core.reading.MessageReading;
import app.jubek.core.rule.Rule;
import app.jubek.core.text.Limits;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Whether mail that the rules send comes back and is sent again: each rule that makes something leave is tried with a
 * message that it picks, against each way in which others may answer.
 */
public final class Loops {
    private final AllHere here;

    /**
     * @param here all mailboxes of the installation
     */
    public Loops(List<MailboxHere> here) {
        this.here = new AllHere(here);
    }

    /**
     * What became of a rule.
     *
     * @param exchange the worst; empty where no message could be made that it picks
     */
    public record Tried(MailboxHere mailbox, Rule rule, Optional<Exchange> exchange) {
        /** Whether the rule has a part in something that went on after it came back. */
        public boolean goesRound() {
            return exchange.filter(found -> found.how().goesRound() && found.isKeptGoingBy(rule.id()))
                    .isPresent();
        }

        public boolean isEndless() {
            return goesRound()
                    && exchange.filter(found -> found.how() == How.ENDLESS).isPresent();
        }
    }

    /** A message of a mailbox's past that a rule picks. */
    @FunctionalInterface
    public interface Examples {
        Optional<PastMessage> of(Rule rule);

        static Examples none() {
            return rule -> Optional.empty();
        }

        /** The latest of each rule. */
        static Examples from(Corpus.View past) {
            return rule -> {
                BitSet picked = past.holding(rule.picksOut());
                picked.andNot(past.holding(rule.leavesOut()));
                return picked.isEmpty() ? Optional.empty() : Optional.of(past.message(picked.length() - 1));
            };
        }
    }

    /** All rules of a mailbox that are on and make something leave, in their order. */
    public List<Tried> of(MailboxHere mailbox, Examples examples) {
        return mailbox.sending().map(rule -> tried(mailbox, rule, examples)).toList();
    }

    /** One of them. */
    public Tried tried(MailboxHere mailbox, Rule rule, Examples examples) {
        Optional<Exchange> worst = Stream.concat(
                        Stream.of(FirstMessage.madeFor(rule, mailbox.identity())),
                        examples.of(rule).flatMap(past -> FirstMessage.like(past, mailbox.identity())).stream())
                .filter(first -> isPicked(mailbox, rule, first))
                .flatMap(first -> Stream.of(Correspondent.values())
                        .map(among -> new Simulation(here, among).from(first, mailbox)))
                .min(Comparator.comparing(Exchange::how));
        return new Tried(mailbox, rule, worst);
    }

    private static boolean isPicked(MailboxHere mailbox, Rule rule, FirstMessage first) {
        byte[] bytes = first.posted().arrived(mailbox.identity()).all();
        return Engine.decide(mailbox.rules(), new MessageReading(Limits.standard()).read(bytes), mailbox.at())
                .trace()
                .picking()
                .stream()
                .anyMatch(picking -> picking.id().equals(rule.id()));
    }
}
