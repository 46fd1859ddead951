package app.jubek.server.evidence;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.corpus.PastMessage;
import app.jubek.server.intake.Messages;
import app.jubek.server.mailbox.Mailboxes;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;

/** The corpus of each mailbox in use, kept up with what is stored; only a copy of what the database holds. */
@Component
class Corpora {
    private static final int MAX_SETS = 2_000;
    private static final int CHUNK = 1_000;

    private final Messages messages;
    private final Mailboxes mailboxes;
    private final Map<UUID, Loaded> loaded = new ConcurrentHashMap<>();

    Corpora(Messages messages, Mailboxes mailboxes) {
        this.messages = messages;
        this.mailboxes = mailboxes;
    }

    private static final class Loaded {
        private final long epoch;
        private final Corpus corpus = new Corpus(MAX_SETS);
        private long lastId;

        Loaded(long epoch) {
            this.epoch = epoch;
        }
    }

    Corpus.View since(UUID mailbox, Instant from) {
        long epoch = mailboxes.evidenceEpoch(mailbox);
        Loaded found = loaded.compute(
                mailbox, (id, known) -> known == null || known.epoch != epoch ? new Loaded(epoch) : known);
        synchronized (found) {
            List<PastMessage> more = messages.after(mailbox, found.lastId, CHUNK);
            while (!more.isEmpty()) {
                more.forEach(found.corpus::add);
                found.lastId = more.get(more.size() - 1).id();
                more = messages.after(mailbox, found.lastId, CHUNK);
            }
        }
        return found.corpus.since(from);
    }
}
