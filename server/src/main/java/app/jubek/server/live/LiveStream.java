package app.jubek.server.live;

import app.jubek.server.account.SignedIn;
import app.jubek.server.signals.Signal;
import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** The stream of one page. What waits to be written is kept once for each signal, so it can't grow. */
final class LiveStream {
    private final SignedIn who;
    private final String session;
    private final SseEmitter emitter;
    private final Map<Signal, Event> waiting = new LinkedHashMap<>();
    private volatile Set<UUID> mailboxes;
    private boolean writing;

    /**
     * @param session the sign-in that it must not outlive
     * @param mailboxes those whose signals it may have
     */
    LiveStream(SignedIn who, String session, Set<UUID> mailboxes, SseEmitter emitter) {
        this.who = who;
        this.session = session;
        this.mailboxes = mailboxes;
        this.emitter = emitter;
    }

    SignedIn who() {
        return who;
    }

    String session() {
        return session;
    }

    void allow(Set<UUID> now) {
        mailboxes = now;
    }

    /** Whether somebody has to begin to {@link #write}. */
    synchronized boolean offer(Event event) {
        if (!mailboxes.contains(event.signal().mailbox())) {
            return false;
        }
        waiting.put(event.signal(), event);
        boolean begin = !writing;
        writing = true;
        return begin;
    }

    /** Writes what waits, and what comes meanwhile; a page that is slow holds up its own stream alone. */
    void write() throws IOException {
        for (List<Event> events = collected(); !events.isEmpty(); events = collected()) {
            for (Event event : events) {
                emitter.send(SseEmitter.event()
                        .id(event.id())
                        .name("changed")
                        .data(event.signal(), MediaType.APPLICATION_JSON));
            }
        }
    }

    /** With nothing left, the next that is offered has to be written by somebody. */
    private synchronized List<Event> collected() {
        List<Event> collected = new ArrayList<>(waiting.values());
        waiting.clear();
        writing = !collected.isEmpty();
        return collected;
    }

    /** An event with nothing but its name and the id from which it can be gone on. */
    void say(String name, String id) throws IOException {
        emitter.send(SseEmitter.event().id(id).name(name).data(""));
    }

    /** Shows on both sides whether the other one is still there. */
    void sign() throws IOException {
        emitter.send(SseEmitter.event().comment(""));
    }

    void end() {
        emitter.complete();
    }
}
