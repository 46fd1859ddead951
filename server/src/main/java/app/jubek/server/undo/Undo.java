package app.jubek.server.undo;

import app.jubek.core.plan.UndoObstacle;
import app.jubek.core.rule.RuleId;
import app.jubek.core.step.Step;
import app.jubek.server.folders.ImapSteps;
import app.jubek.server.folders.ImapUndo;
import app.jubek.server.folders.StepTrace;
import app.jubek.server.mailbox.Fetched;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.queue.Outbox;
import app.jubek.server.step.Claim;
import jakarta.mail.MessagingException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Notes how things are before each step in a mailbox, and changes them back where a person wants that. */
@Service
public class Undo {
    private static final Logger LOG = LoggerFactory.getLogger(Undo.class);

    /** As much as anybody looks over before saying yes. */
    private static final int MOST = 10_000;

    private final StepTraceRepository traces;
    private final Outbox outbox;
    private final ImapUndo imap;
    private final Mailboxes mailboxes;

    Undo(StepTraceRepository traces, Outbox outbox, ImapUndo imap, Mailboxes mailboxes) {
        this.traces = traces;
        this.outbox = outbox;
        this.imap = imap;
        this.mailboxes = mailboxes;
    }

    /** The trace of a step that is about to be done. */
    public StepTrace trace(UUID step) {
        return new StepTrace() {
            @Override
            public Before before(Before now) {
                return traces.findById(step)
                        .map(StepTraceEntity::before)
                        .orElseGet(() ->
                                traces.save(new StepTraceEntity(step, now)).before());
            }

            @Override
            public void after(Fetched.Place place) {
                traces.findById(step).ifPresent(trace -> {
                    trace.liesAt(place);
                    traces.save(trace);
                });
            }
        };
    }

    /**
     * Undoes what it is claimed for.
     *
     * @throws ImapSteps.Needless where somebody has changed it since
     */
    public void carryOut(Claim claim) throws MessagingException {
        StepTraceEntity trace = traces.findByUndoneBy(claim.step())
                .orElseThrow(() -> new ImapSteps.Needless(UndoObstacle.NOT_NOTED.with()));
        Step done = claim.asked().orElseThrow();
        if (done instanceof Step.Mark mark) {
            imap.mark(claim.mailbox(), claim.message(), mark, trace.before().flags());
            return;
        }
        Fetched.Place now = trace.after().orElseThrow(() -> new ImapSteps.Needless(UndoObstacle.NOT_NOTED.with()));
        if (done instanceof Step.Copy) {
            imap.copy(claim.mailbox(), now, claim.isRepeated());
        } else if (done == Step.Plain.OUT_OF_JUNK) {
            imap.outOfJunk(claim.mailbox(), claim.message(), trace.before(), now, claim.isRepeated());
        } else {
            imap.move(claim.mailbox(), claim.message(), trace.before().place(), now, claim.isRepeated());
        }
    }

    /** What a rule did on a day, by the mailbox's clock. */
    @Transactional(readOnly = true)
    List<DoneStep> ofDay(UUID mailbox, RuleId rule, LocalDate day) {
        ZoneId zone = mailboxes.find(mailbox).zone();
        Instant from = day.atStartOfDay(zone).toInstant();
        Instant until = day.plusDays(1).atStartOfDay(zone).toInstant();
        return traces.ofRule(mailbox, rule.value(), from, until, Limit.of(MOST));
    }

    @Transactional(readOnly = true)
    List<DoneStep> ofCatchUp(UUID mailbox, UUID catchUp) {
        return traces.ofCatchUp(mailbox, catchUp, Limit.of(MOST));
    }

    @Transactional(readOnly = true)
    List<DoneStep> steps(UUID mailbox, Collection<UUID> ids) {
        return traces.steps(mailbox, ids);
    }

    /**
     * Which of some steps can be undone, after a look into the folders.
     *
     * @param looked false when the mail server couldn't be asked
     */
    record Prospect(List<DoneStep> steps, Set<Fetched.Place> held, boolean looked) {
        Optional<UndoObstacle> obstacle(DoneStep step) {
            return step.obstacle()
                    .or(() -> looked
                                    && step.after()
                                            .filter(place -> !held.contains(place))
                                            .isPresent()
                            ? Optional.of(UndoObstacle.MOVED_OR_DELETED_SINCE)
                            : Optional.empty());
        }
    }

    Prospect prospect(UUID mailboxId, List<DoneStep> steps) {
        Mailbox mailbox = mailboxes.find(mailboxId);
        List<Fetched.Place> places = steps.stream()
                .filter(step -> step.obstacle().isEmpty())
                .flatMap(step -> step.after().stream())
                .toList();
        try {
            return new Prospect(steps, imap.holding(mailbox, places), true);
        } catch (MessagingException away) {
            LOG.debug("the folders can't be looked into now: {}", away.getMessage());
            return new Prospect(steps, Set.of(), false);
        }
    }

    /**
     * Plans that all of some steps are undone that can be.
     *
     * @param who wants it
     * @return how many
     */
    @Transactional
    int plan(UUID mailbox, List<DoneStep> steps, String who) {
        List<UUID> wanted = steps.stream()
                .filter(step -> step.obstacle().isEmpty())
                .map(DoneStep::id)
                .toList();
        Map<UUID, UUID> undoing = outbox.undo(mailbox, wanted, who);
        traces.findAllById(undoing.keySet()).forEach(trace -> trace.undoneBy(undoing.get(trace.step())));
        return undoing.size();
    }
}
