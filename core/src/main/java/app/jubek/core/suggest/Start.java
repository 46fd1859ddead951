package app.jubek.core.suggest;

import app.jubek.core.address.MailAddress;
import app.jubek.core.corpus.Corpus;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.people.OwnSide;
import app.jubek.core.recurring.Kind;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;

/**
 * Where to begin from one message: the smallest sensible pair of criteria, who and words, and what else is true of it.
 *
 * @param kept one or two criteria
 * @param also further ones, each true of the message
 */
public record Start(List<True> kept, List<True> also) {
    /** So many senders at one domain, if they write a good part of all mail, have no more than their provider in common. */
    private static final int PROVIDER = 25;

    private static final double PART = 0.06;

    public Start {
        kept = List.copyOf(kept);
        also = List.copyOf(also);
    }

    /**
     * @param reach messages of the window that it takes by itself
     */
    public record True(Criterion criterion, int matches) {}

    /**
     * @param place the message's place in the evidence
     * @param kind that it is of: the words that stay the same come before a value that varies
     */
    public static Start of(Corpus.View past, int place, Optional<Kind> kind, OwnSide own) {
        List<Candidate> candidates = new Candidates(past, own)
                .of(List.of(place), kind.map(Kind::patterns).orElse(List.of())).stream()
                        .filter(c -> c.hits().get(place))
                        .toList();
        Optional<Candidate> who = who(past, candidates);
        Optional<BitSet> alike = kind.map(k -> Sets.of(k.members())).or(() -> who.map(Candidate::hits));
        Optional<Candidate> words = who.filter(w -> isOfList(w, own)).isPresent()
                ? Optional.empty()
                : StartPhrases.first(candidates, alike);
        List<Candidate> kept = new ArrayList<>();
        who.filter(w -> w.matches() > 1 || words.isEmpty()).ifPresent(kept::add);
        words.ifPresent(kept::add);
        List<Candidate> also = new ArrayList<>();
        candidates.stream()
                .filter(c -> !c.where().isText() && !kept.contains(c))
                .forEach(also::add);
        also.addAll(StartPhrases.further(candidates, kept));
        return new Start(trues(kept), trues(also));
    }

    /** A list's address says enough by itself; an own alias does not. */
    private static boolean isOfList(Candidate who, OwnSide own) {
        return who.where() == Where.RECIPIENT && !own.isInside(MailAddress.of(who.value()));
    }

    private static Optional<Candidate> who(Corpus.View past, List<Candidate> candidates) {
        Optional<Candidate> recipient = first(candidates, Where.RECIPIENT);
        if (recipient.isPresent()) {
            return recipient;
        }
        return first(candidates, Where.SENDER_DOMAIN)
                .filter(domain -> domain.matches() < PART * past.size() || senders(past, domain) < PROVIDER)
                .or(() -> first(candidates, Where.SENDER).filter(sender -> sender.matches() > 2));
    }

    private static long senders(Corpus.View past, Candidate domain) {
        return domain.hits().stream()
                .mapToObj(at -> past.message(at).message().sender())
                .flatMap(Optional::stream)
                .map(sender -> sender.key())
                .distinct()
                .limit(PROVIDER)
                .count();
    }

    private static Optional<Candidate> first(List<Candidate> candidates, Where where) {
        return candidates.stream().filter(c -> c.where() == where).findFirst();
    }

    private static List<True> trues(List<Candidate> candidates) {
        return candidates.stream()
                .map(c -> new True(c.where().test(List.of(c.value())), c.matches()))
                .toList();
    }
}
