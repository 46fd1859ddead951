package app.jubek.server.absence;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

/** The mail of a time and what rules did with it; always the newest first. */
interface AbsenceMail extends Repository<AbsenceEntity, UUID> {
    String WITHIN =
            " m.mailboxId = :mailbox and m.receivedAt >= :from and m.receivedAt < :until and m.status = DECIDED";
    String OF_RULE = " s.mailboxId = :mailbox and s.ruleId = :rule";

    /** How many messages somebody wrote. */
    interface SenderRow {
        String getAddress();

        @Nullable
        String getName();

        long getMessages();
    }

    @Query("select m.id from MessageEntity m where" + WITHIN + " order by m.receivedAt desc, m.id desc")
    List<Long> cameIn(UUID mailbox, Instant from, Instant until, Limit limit);

    @Query("select array_get(m.senders, 1) as address, max(array_get(m.senderNames, 1)) as name, count(m) as messages"
            + " from MessageEntity m where" + WITHIN + " and array_length(m.senders) > 0"
            + " group by array_get(m.senders, 1)")
    List<SenderRow> senders(UUID mailbox, Instant from, Instant until, Limit limit);

    @Query("select s.messageId from StepEntity s where" + OF_RULE + " and s.kind = REPLY and s.state = SENT"
            + " order by s.settledAt desc, s.id")
    List<Long> answered(UUID mailbox, String rule, Limit limit);

    @Query("select s.messageId from StepEntity s where" + OF_RULE
            + " and s.kind in (FORWARD, REDIRECT) and s.state = SENT order by s.settledAt desc, s.id")
    List<Long> handedOver(UUID mailbox, String rule, Limit limit);

    /** Somebody answered it, or said that it is done. */
    @Query("select s.messageId from StepEntity s where" + OF_RULE
            + " and s.kind = FOLLOW_UP and s.state = DISCARDED order by s.settledAt desc, s.id")
    List<Long> dealtWith(UUID mailbox, String rule, Limit limit);

    @Query(
            "select distinct s.messageId from StepEntity s, MessageEntity m where m.id = s.messageId and s.state = HELD and"
                    + WITHIN + " order by s.messageId desc")
    List<Long> waiting(UUID mailbox, Instant from, Instant until, Limit limit);
}
