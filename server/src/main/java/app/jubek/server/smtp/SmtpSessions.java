package app.jubek.server.smtp;

import app.jubek.core.message.ByteSource;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import java.io.IOException;
import java.time.Duration;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Connections to mail servers, kept open for a few seconds, so that a burst of messages needs few of them. */
@Component
public class SmtpSessions implements DisposableBean {
    private static final Duration KEPT = Duration.ofSeconds(5);

    private final Mailboxes mailboxes;
    private final Map<UUID, Deque<Idle>> idle = new ConcurrentHashMap<>();

    private record Idle(SmtpSession session, long since) {
        boolean isStale() {
            return System.nanoTime() - since > KEPT.toNanos();
        }
    }

    SmtpSessions(Mailboxes mailboxes) {
        this.mailboxes = mailboxes;
    }

    public void send(Mailbox mailbox, String sender, String recipient, ByteSource content)
            throws IOException, SmtpFault {
        Optional<SmtpSession> kept = takeIdle(mailbox.id());
        if (kept.isPresent()) {
            try {
                send(kept.get(), mailbox, sender, recipient, content);
                return;
            } catch (IOException hungUpMeanwhile) {
                // A server may close an idle connection at any time; nothing was taken, so a new one is used.
            }
        }
        SmtpSession session = SmtpSession.open(mailbox.smtp(), mailbox.user(), mailboxes.password(mailbox.id()));
        send(session, mailbox, sender, recipient, content);
    }

    private void send(SmtpSession session, Mailbox mailbox, String sender, String recipient, ByteSource content)
            throws IOException, SmtpFault {
        boolean sent = false;
        try {
            session.send(sender, recipient, content);
            sent = true;
        } finally {
            if (sent) {
                giveBack(mailbox.id(), session);
            } else {
                session.close();
            }
        }
    }

    private Optional<SmtpSession> takeIdle(UUID mailbox) {
        Deque<Idle> all = idle.computeIfAbsent(mailbox, id -> new ArrayDeque<>());
        synchronized (all) {
            return Optional.ofNullable(all.pollLast()).map(Idle::session);
        }
    }

    private void giveBack(UUID mailbox, SmtpSession session) {
        Deque<Idle> all = idle.computeIfAbsent(mailbox, id -> new ArrayDeque<>());
        synchronized (all) {
            all.addLast(new Idle(session, System.nanoTime()));
        }
    }

    @Scheduled(fixedDelay = 1, timeUnit = TimeUnit.SECONDS)
    void closeStale() {
        idle.values().forEach(all -> {
            synchronized (all) {
                while (!all.isEmpty() && all.peekFirst().isStale()) {
                    all.pollFirst().session().close();
                }
            }
        });
    }

    @Override
    public void destroy() {
        idle.values().forEach(all -> {
            synchronized (all) {
                all.forEach(one -> one.session().close());
                all.clear();
            }
        });
    }
}
