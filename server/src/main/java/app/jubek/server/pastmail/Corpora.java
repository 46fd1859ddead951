package app.jubek.server.pastmail;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.corpus.PastMessage;
import app.jubek.core.evidence.Answerable;
import app.jubek.core.evidence.LivePicked;
import app.jubek.server.intake.Messages;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.Border;
import app.jubek.server.platform.JubekProperties;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicBoolean;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.core.task.TaskExecutor;
import org.springframework.stereotype.Component;

/**
 * The corpus of each mailbox in use, kept up with what is stored; only a copy of what the database holds. All of them
 * together are bounded in bytes: one mailbox may take half, and the one not asked for longest goes first.
 */
@Component
class Corpora {
    private static final Logger LOG = LoggerFactory.getLogger(Corpora.class);
    private static final int MAX_SETS = 2_000;
    private static final int CHUNK = 1_000;

    private final Messages messages;
    private final Mailboxes mailboxes;
    private final Clock clock;
    private final TaskExecutor background;
    private final long maxBytes;
    private final Map<UUID, Loaded> loaded = new ConcurrentHashMap<>();

    Corpora(
            Messages messages,
            Mailboxes mailboxes,
            JubekProperties properties,
            Clock clock,
            @Qualifier("applicationTaskExecutor") TaskExecutor background) {
        this.messages = messages;
        this.mailboxes = mailboxes;
        this.clock = clock;
        this.background = background;
        this.maxBytes = properties.evidenceMemory().toBytes();
    }

    /** How old a message is changes by the day, and mail leaves the evidence: then it is loaded anew. */
    private record Form(long epoch, LocalDate day) {}

    /**
     * How far the loading of a mailbox's past mail is.
     *
     * @param messages to be loaded in all
     * @param cut whether they are more than fit in memory, so that only the latest are looked at
     */
    record Progress(long done, long messages, boolean ready, boolean cut) {}

    private static final class Loaded {
        private final Form form;
        private final Corpus corpus;
        private final LivePicked live = new LivePicked();
        private final Answerable answerable = new Answerable();
        private volatile Messages.Extent extent = new Messages.Extent(0, 0);
        private final AtomicBoolean begun = new AtomicBoolean();
        private volatile boolean ready;
        private volatile Instant asked;
        private long lastId;

        Loaded(Form form, Corpus corpus, Instant asked) {
            this.form = form;
            this.corpus = corpus;
            this.asked = asked;
        }
    }

    /**
     * @param live kept as long as the messages are
     * @param answerable as well
     */
    record Past(Corpus.View messages, LivePicked live, Answerable answerable) {}

    Past since(UUID mailbox, Instant from) {
        Loaded found = found(mailbox);
        synchronized (found) {
            if (!found.ready) {
                load(mailbox, found);
            }
            keepUp(mailbox, found);
        }
        makeRoom();
        return new Past(found.corpus.since(from), found.live, found.answerable);
    }

    /** Loads in the background, unless that is done or under way. */
    Progress begin(UUID mailbox) {
        Loaded found = found(mailbox);
        if (!found.ready && found.begun.compareAndSet(false, true)) {
            background.execute(() -> {
                try {
                    since(mailbox, Instant.MAX);
                } finally {
                    found.begun.set(false);
                }
            });
        }
        long done = found.corpus.size();
        return new Progress(done, Math.max(done, found.extent.messages()), found.ready, found.corpus.isCut());
    }

    private Loaded found(UUID mailbox) {
        Form form = new Form(mailboxes.evidenceEpoch(mailbox), LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC));
        Loaded found = loaded.compute(
                mailbox,
                (id, known) -> known == null || !known.form.equals(form)
                        ? new Loaded(form, new Corpus(MAX_SETS, maxBytes / 2), clock.instant())
                        : known);
        found.asked = clock.instant();
        return found;
    }

    /** The latest first, so that what does not fit is the oldest. */
    private void load(UUID mailbox, Loaded into) {
        int anew = CHUNK;
        while (anew > 0) {
            anew = messages.readAnew(mailbox, CHUNK);
        }
        into.extent = messages.extent(mailbox);
        List<PastMessage> page = messages.before(mailbox, into.extent, Optional.empty(), CHUNK);
        while (!page.isEmpty() && !into.corpus.isCut()) {
            page.forEach(message -> add(message, into));
            page = messages.before(mailbox, into.extent, Optional.of(page.get(page.size() - 1)), CHUNK);
        }
        into.lastId = into.extent.last();
        into.ready = true;
    }

    private static void add(PastMessage message, Loaded into) {
        Border.around(() -> into.corpus.add(message)).ifPresent(failure -> {
            if (failure.isTransient()) {
                throw new IllegalStateException("past mail can't be loaded just now", failure.cause());
            }
            LOG.warn(
                    "past message {} is no evidence, as it can't be looked through: {}", message.id(), failure.trace());
        });
    }

    private void keepUp(UUID mailbox, Loaded into) {
        List<PastMessage> more = messages.after(mailbox, into.lastId, CHUNK);
        while (!more.isEmpty()) {
            more.forEach(message -> add(message, into));
            into.lastId = more.get(more.size() - 1).id();
            more = messages.after(mailbox, into.lastId, CHUNK);
        }
    }

    private void makeRoom() {
        while (loaded.size() > 1
                && loaded.values().stream()
                                .mapToLong(each -> each.corpus.bytes())
                                .sum()
                        > maxBytes) {
            loaded.entrySet().stream()
                    .min(Comparator.comparing(each -> each.getValue().asked))
                    .ifPresent(longest -> loaded.remove(longest.getKey(), longest.getValue()));
        }
    }
}
