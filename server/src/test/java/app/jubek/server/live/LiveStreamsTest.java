package app.jubek.server.live;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.server.Browser;
import app.jubek.server.ServerContext;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.signals.Signal;
import app.jubek.server.signals.Signals;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.simple.JdbcClient;

/** A page that is open is told what changed, through the database, and for as long as somebody is signed in. */
class LiveStreamsTest extends ServerContext {
    private static final Duration LONG = Duration.ofMinutes(2);

    @LocalServerPort
    private int port;

    @Autowired
    private LiveStreams streams;

    @Autowired
    private Signals signals;

    @Autowired
    private Mailboxes mailboxes;

    @Autowired
    private JdbcClient jdbc;

    private UUID mailbox;
    private Browser ilse;

    @BeforeEach
    void signIn() {
        mailbox = mailboxes.all().get(0).id();
        ilse = new Browser(port).signedIn("ilse", "greenhouse");
    }

    /** Reads a stream in the background. */
    private static final class Lines {
        private final BlockingQueue<String> lines = new LinkedBlockingQueue<>();

        Lines(HttpResponse<Stream<String>> stream) {
            assertThat(stream.statusCode()).isEqualTo(200);
            Thread reader = new Thread(() -> {
                stream.body().filter(line -> !line.isBlank()).forEach(lines::add);
                lines.add("(end)");
            });
            reader.setDaemon(true);
            reader.start();
        }

        /** Waits for a line with a text, and drops what came before it. */
        String next(String text) throws InterruptedException {
            long end = System.nanoTime() + LONG.toNanos();
            String line = "";
            while (!line.contains(text)) {
                line = lines.poll(Math.max(0, end - System.nanoTime()), TimeUnit.NANOSECONDS);
                assertThat(line).as("a line with " + text).isNotNull();
            }
            return line;
        }
    }

    @Test
    void aChangeIsToldThroughTheDatabaseAndMissedOnesWhenThePageComesBack() throws InterruptedException {
        Lines first = new Lines(ilse.open(LiveController.PATH));
        String id = first.next("id:").substring("id:".length());
        signals.sendSoon(new Signal(Signal.Topic.NOTICES, mailbox));
        assertThat(first.next("NOTICES")).contains(mailbox.toString());

        Lines again = new Lines(ilse.open(LiveController.PATH, "Last-Event-ID", id));
        again.next("event:open");
        again.next("NOTICES");
        new Lines(ilse.open(LiveController.PATH, "Last-Event-ID", "12")).next("event:behind");
    }

    @Test
    void nobodyIsToldOfAMailboxTheyMayNotSee() throws InterruptedException {
        Lines lines = new Lines(ilse.open(LiveController.PATH));
        lines.next("event:open");
        UUID foreign = UUID.randomUUID();
        signals.sendSoon(new Signal(Signal.Topic.NOTICES, foreign));
        signals.sendSoon(new Signal(Signal.Topic.WORK, mailbox));
        lines.next("WORK");
        assertThat(lines.lines).noneMatch(line -> line.contains(foreign.toString()));
    }

    @Test
    void aStreamNeitherProlongsTheSignInNorOutlivesIt() throws InterruptedException {
        List<Long> before = lastUses();
        Lines lines = new Lines(ilse.open(LiveController.PATH));
        lines.next("event:open");
        await("the sign-in is as old as before", () -> lastUses().equals(before));
        ilse.send("POST", "/api/sign-out", "", "application/json");
        streams.lookThrough();
        lines.next("event:ended");
        lines.next("(end)");
        assertThat(ilse.open(LiveController.PATH).statusCode()).isEqualTo(401);
    }

    private List<Long> lastUses() {
        return jdbc.sql("select last_access_time from spring_session order by session_id")
                .query(Long.class)
                .list();
    }
}
