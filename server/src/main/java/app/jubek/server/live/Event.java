package app.jubek.server.live;

import app.jubek.server.signals.Signal;
import java.time.Instant;

/**
 * A signal, and when this process heard it. Its id is that time in milliseconds; processes on one database go by one clock
 * nearly, so that an id means the same on each but for a moment.
 */
record Event(Instant at, Signal signal) {
    String id() {
        return id(at);
    }

    static String id(Instant at) {
        return Long.toString(at.toEpochMilli());
    }
}
