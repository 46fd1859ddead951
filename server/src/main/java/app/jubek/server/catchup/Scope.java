package app.jubek.server.catchup;

import app.jubek.core.catchup.CatchUp;
import app.jubek.core.catchup.Known;
import app.jubek.core.catchup.Terms;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.plan.Sending;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.safety.ReplyHistory;
import app.jubek.core.step.Step;
import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.server.deciding.DecisionContexts;
import app.jubek.server.pastmail.PastMail;
import app.jubek.server.replyhistory.StoredReplyHistory;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.BitSet;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** The messages that a catch-up goes through, and what is known of them, as all is now. */
@Component
class Scope {
    private static final int AT_ONCE = 1_000;

    private final PastMail pastMail;
    private final DecisionContexts contexts;
    private final StoredReplyHistory history;
    private final CatchUpRepository catchUps;

    Scope(PastMail pastMail, DecisionContexts contexts, StoredReplyHistory history, CatchUpRepository catchUps) {
        this.pastMail = pastMail;
        this.contexts = contexts;
        this.history = history;
        this.catchUps = catchUps;
    }

    /**
     * @param looked messages in the folders and days
     */
    record Seen(PastMail.Window window, int looked, CatchUp catchUp, List<Integer> candidates) {}

    /**
     * @param folders by the names that the mail server gives them
     */
    Seen of(CatchUpEntity entity, Collection<String> folders, Terms terms) {
        PastMail.Window window = pastMail.window(entity.mailboxId(), entity.days());
        Map<Long, String> lying = new HashMap<>();
        Instant from = first(entity, window.mailbox().zone());
        catchUps.lying(entity.mailboxId(), folders, from, entity.before())
                .forEach(one -> lying.put(one.id(), one.folder()));
        RuleBook rules = CatchUp.chosen(window.book(), entity.rules());
        BitSet among = new BitSet();
        window.places(lying.keySet()).forEach(among::set);
        Before known = new Before(entity.mailboxId(), lying);
        CatchUp catchUp = new CatchUp(
                rules, window.past(), among, contexts.ofRehearsal(window.mailbox(), window.now()), terms, known);
        List<Integer> candidates = catchUp.candidates();
        known.look(candidates.stream().map(at -> window.past().message(at).id()).toList());
        return new Seen(window, among.cardinality(), catchUp, candidates);
    }

    /** The first day begins at midnight. */
    private static Instant first(CatchUpEntity entity, ZoneId zone) {
        return LocalDate.ofInstant(entity.before(), zone)
                .minusDays(entity.days() - 1)
                .atStartOfDay(zone)
                .toInstant();
    }

    /** What was planned for the candidates before. */
    private final class Before implements Known {
        private final UUID mailbox;
        private final Map<Long, String> lying;
        private final Map<String, Step> read = new HashMap<>();
        private final Map<Long, Set<String>> planned = new HashMap<>();
        private final Map<Long, Set<Step>> steps = new HashMap<>();

        Before(UUID mailbox, Map<Long, String> lying) {
            this.mailbox = mailbox;
            this.lying = lying;
        }

        void look(List<Long> messages) {
            for (int at = 0; at < messages.size(); at += AT_ONCE) {
                catchUps.planned(mailbox, messages.subList(at, Math.min(at + AT_ONCE, messages.size())))
                        .forEach(this::note);
            }
        }

        private void note(CatchUpRepository.Planned one) {
            Step step = read.computeIfAbsent(one.detail(), RuleBookJson::readStep);
            steps.computeIfAbsent(one.message(), m -> new HashSet<>()).add(step);
            planned.computeIfAbsent(one.message(), m -> new HashSet<>()).add(one.recipient());
        }

        @Override
        public boolean isPlanned(long message, PlannedStep step) {
            boolean same = steps.getOrDefault(message, Set.of()).contains(step.step());
            return same
                    && step.sending()
                            .map(Sending::to)
                            .map(to -> planned.getOrDefault(message, Set.of()).contains(to.address()))
                            .orElse(true);
        }

        @Override
        public String folder(long message) {
            return lying.getOrDefault(message, "");
        }

        @Override
        public ReplyHistory replies(Set<String> senders) {
            return history.of(mailbox, senders.stream().sorted().collect(Collectors.toList()));
        }
    }
}
