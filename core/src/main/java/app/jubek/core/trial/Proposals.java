package app.jubek.core.trial;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.corpus.PastMessage;
import app.jubek.core.decide.Decision;
import app.jubek.core.decide.DecisionContext;
import app.jubek.core.decide.Engine;
import app.jubek.core.decide.Silence;
import app.jubek.core.decide.Trace;
import app.jubek.core.explain.NearMiss;
import app.jubek.core.message.SentBy;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.sample.MadeUp;
import app.jubek.core.sample.SampleMessage;
import app.jubek.core.view.MessageView;
import java.time.Instant;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Finds messages that tell a rule from its mutants: among past mail, or made up. */
final class Proposals implements Finder {
    private static final int LOOKED_AT = 40;
    private static final int NEAR_AMONG = 300;
    private static final int VARIANTS = 8;
    private static final String SUBJECT = "Sample message";

    private final RuleBook book;
    private final Rule rule;
    private final Corpus.View past;
    private final DecisionContext at;
    private final BitSet picked;
    private final List<Found> found = new ArrayList<>();

    private record Found(MessageView seen, Case.Proposal proposal) {}

    Proposals(RuleBook book, Rule rule, Corpus.View past, DecisionContext at) {
        this.book = book.withOn(Set.of(rule.id()));
        this.rule = rule;
        this.past = past;
        this.at = at;
        this.picked = holding(rule);
    }

    private BitSet holding(Rule of) {
        BitSet holding = past.holding(of.picksOut());
        holding.andNot(past.holding(of.leavesOut()));
        return holding;
    }

    private boolean tellsApart(Mutant mutant, MessageView seen) {
        return mutant.isToldFrom(rule, seen, at.opening());
    }

    /** One that shows another case already, so that few show all; else a real one, else a made-up one. */
    @Override
    public Optional<Case.Proposal> proposal(Mutant mutant) {
        return Stream.of(again(mutant), real(mutant), madeUp(mutant))
                .flatMap(proposals -> proposals)
                .findFirst();
    }

    private Stream<Case.Proposal> again(Mutant mutant) {
        return found.stream().filter(one -> tellsApart(mutant, one.seen())).map(Found::proposal);
    }

    private Stream<Case.Proposal> real(Mutant mutant) {
        BitSet apart = holding(mutant.changed());
        apart.xor(picked);
        boolean byDays = apart.isEmpty() && !mutant.changed().schedule().equals(rule.schedule());
        return newest(byDays ? picked : apart)
                .flatMap(message -> judged(message, mutant.at(), seen -> tellsApart(mutant, seen)).stream());
    }

    /** The newest, near misses before others. */
    private Stream<PastMessage> newest(BitSet places) {
        List<PastMessage> all = new ArrayList<>();
        for (int i = places.length() - 1; i >= 0 && all.size() < NEAR_AMONG; i = places.previousSetBit(i - 1)) {
            all.add(past.message(i));
        }
        return Stream.concat(all.stream().filter(this::isNear), all.stream().filter(message -> !isNear(message)))
                .limit(LOOKED_AT);
    }

    private boolean isNear(PastMessage message) {
        return NearMiss.of(rule.picksOut(), message.seen())
                .or(() -> NearMiss.byOneWord(rule.picksOut(), message.seen()))
                .isPresent();
    }

    private Optional<Case.Proposal> judged(PastMessage message, List<Instant> instead, Predicate<MessageView> shows) {
        return Stream.concat(Stream.of(message.received()), instead.stream())
                .map(received -> new MessageView(
                        message.message(), message.seen().context().cameIn(received)))
                .filter(shows)
                .flatMap(seen -> expected(seen).stream()
                        .map(expectations -> noted(
                                seen, new Case.Real(message.id(), seen.context().received(), expectations))))
                .findFirst();
    }

    /** What becomes of a message now; empty when another rule keeps it from this one. */
    private Optional<List<Expectation>> expected(MessageView seen) {
        Instant received = seen.context().received();
        Trace trace = Trace.of(book, seen, Silence.bySchedule(received, at.opening()));
        Decision decision =
                Engine.decide(seen, at.of(seen.context()), book.fence().holds(seen), trace);
        boolean reached =
                trace.picking().stream().anyMatch(picking -> picking.id().equals(rule.id()));
        return reached == Mutant.picks(rule, seen, at.opening())
                ? Optional.of(Expectation.asDecided(rule.id(), decision))
                : Optional.empty();
    }

    private Stream<Case.Proposal> madeUp(Mutant mutant) {
        return IntStream.range(0, VARIANTS)
                .mapToObj(variant -> MadeUp.of(mutant.wishes(), mutant.aim(), variant))
                .flatMap(made -> made.subject().isBlank() ? Stream.of(titled(made), made) : Stream.of(made))
                .flatMap(made -> invented(made, mutant.at(), seen -> tellsApart(mutant, seen)).stream());
    }

    private static SampleMessage titled(SampleMessage made) {
        return new SampleMessage(
                made.from(), made.to(), SUBJECT, made.text(), made.sentBy(), made.attachment(), made.received());
    }

    private Optional<Case.Proposal> invented(
            SampleMessage made, List<Instant> preferred, Predicate<MessageView> shows) {
        Instant received = preferred.stream().findFirst().orElse(at.now());
        MessageView seen = made.view(at.own().identity(), at.context().cameIn(received));
        SampleMessage dated = new SampleMessage(
                made.from(),
                made.to(),
                made.subject(),
                made.text(),
                made.sentBy(),
                made.attachment(),
                Optional.of(received));
        return Optional.of(seen)
                .filter(shows)
                .flatMap(this::expected)
                .map(expectations -> noted(seen, new Case.Invented(dated, expectations)));
    }

    private Case.Proposal noted(MessageView seen, Case.Proposal proposal) {
        found.add(new Found(seen, proposal));
        return proposal;
    }

    /** One that the rule picks, that no person wrote, and that it gives no reply to. */
    @Override
    public Optional<Case.Proposal> automatic() {
        List<Instant> whenActive = new Days(rule, at.opening(), at.now()).whenActive();
        Predicate<MessageView> shows = seen -> Mutant.picks(rule, seen, at.opening())
                && !seen.message().sentBy().contains(SentBy.PERSON);
        Stream<Case.Proposal> real = newest(picked).flatMap(message -> judged(message, whenActive, shows).stream());
        Stream<Case.Proposal> made = Stream.of(MadeUp.meeting(rule.picksOut()))
                .map(sample -> new SampleMessage(
                        sample.from(),
                        sample.to(),
                        sample.subject(),
                        sample.text(),
                        Optional.of(SampleMessage.SentBy.AUTOMATICALLY),
                        sample.attachment(),
                        Optional.empty()))
                .flatMap(sample -> invented(sample, whenActive, shows).stream());
        return Stream.concat(real, made)
                .filter(proposal -> proposal.expectations().contains(Expectation.noReply()))
                .findFirst();
    }
}
