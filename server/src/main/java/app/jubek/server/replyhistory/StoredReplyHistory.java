package app.jubek.server.replyhistory;

import app.jubek.core.safety.ReplyHistory;
import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Who got which automatic answer when, as it is stored. */
@Component
public class StoredReplyHistory {
    private final ReplyHistoryRepository repository;
    private final EntityManager entities;

    StoredReplyHistory(ReplyHistoryRepository repository, EntityManager entities) {
        this.repository = repository;
        this.entities = entities;
    }

    /**
     * An answer that was planned.
     *
     * @param key by which answers are counted together
     * @param senders all addresses of the one who gets it
     */
    public record Answer(UUID mailbox, UUID step, String key, Collection<String> senders, Instant at) {}

    /** Inside the transaction that stores the step. */
    public void note(Answer answer) {
        answer.senders()
                .forEach(sender -> entities.persist(new ReplyHistoryEntity(
                        new ReplyHistoryEntity.Key(answer.step(), sender),
                        answer.mailbox(),
                        answer.key(),
                        answer.at())));
    }

    /** An answer that was never given after all. */
    public void forget(UUID step) {
        repository.forget(step);
    }

    /** Answers to a sender who is known by several addresses; one answer counts once. */
    @Transactional(readOnly = true)
    public ReplyHistory of(UUID mailbox, List<String> senders) {
        if (senders.isEmpty()) {
            return ReplyHistory.empty();
        }
        Map<UUID, List<ReplyHistoryEntity>> answers = repository.answersTo(mailbox, senders).stream()
                .collect(Collectors.groupingBy(line -> line.key().stepId()));
        return new ReplyHistory(
                answers.values().stream().map(StoredReplyHistory::entry).toList());
    }

    private static ReplyHistory.Entry entry(List<ReplyHistoryEntity> lines) {
        ReplyHistoryEntity first = lines.get(0);
        return new ReplyHistory.Entry(
                first.answerKey(),
                lines.stream().map(line -> line.key().sender()).collect(Collectors.toUnmodifiableSet()),
                first.at());
    }
}
