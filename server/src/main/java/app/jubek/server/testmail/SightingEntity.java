package app.jubek.server.testmail;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** What came of a test in another mailbox. */
@Entity
@Table(name = "real_test_sighting")
class SightingEntity {
    @Id
    private UUID id;

    private UUID testId;
    private UUID mailboxId;
    private String messageId;
    private String sender;
    private String subject;
    private Instant seenAt;

    protected SightingEntity() {}

    SightingEntity(TestMail.Sighting sighting) {
        id = UUID.randomUUID();
        testId = sighting.test();
        mailboxId = sighting.mailbox();
        messageId = sighting.messageId();
        sender = sighting.sender();
        subject = sighting.subject();
        seenAt = sighting.at();
    }

    TestMail.Sighting sighting() {
        return new TestMail.Sighting(testId, mailboxId, messageId, sender, subject, seenAt);
    }
}
