package app.jubek.server.digest;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

interface DigestRepository extends JpaRepository<DigestEntity, DigestEntity.Key> {
    @Transactional
    @Modifying
    @Query("insert into DigestEntity (key.accountId, key.mailboxId, address) values (:account, :mailbox, :address)"
            + " on conflict (key.accountId, key.mailboxId) do update set address = excluded.address")
    void keep(UUID account, UUID mailbox, String address);

    @Transactional
    @Modifying
    @Query("delete from DigestEntity d where d.key.accountId = :account and d.key.mailboxId = :mailbox")
    void drop(UUID account, UUID mailbox);

    /** Those of a mailbox that were not sent today, to people who may see it; none while outgoing mail is stopped. */
    @Query("select d from DigestEntity d where d.key.mailboxId = :mailbox and (d.sentOn is null or d.sentOn < :today)"
            + " and exists (select 1 from MailboxRightEntity r"
            + " where r.key.accountId = d.key.accountId and r.key.mailboxId = d.key.mailboxId)"
            + " and not exists (select 1 from StopEntity s where s.mailbox = d.key.mailboxId)")
    List<DigestEntity> due(UUID mailbox, LocalDate today);

    /** Counts as sent from here on, so that it can't be sent twice; nothing is changed when somebody was first. */
    @Transactional
    @Modifying
    @Query("update DigestEntity d set d.sentOn = :today where d.key.accountId = :account and d.key.mailboxId = :mailbox"
            + " and (d.sentOn is null or d.sentOn < :today)")
    int claim(UUID account, UUID mailbox, LocalDate today);
}
