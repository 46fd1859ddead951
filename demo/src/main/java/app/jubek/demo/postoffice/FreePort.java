package app.jubek.demo.postoffice;

import java.io.IOException;
import java.net.ServerSocket;
import java.util.concurrent.ThreadLocalRandom;

/**
 * Ports for servers that are started for a while. They lie below those that systems give to outgoing connections, so that
 * none of these takes one between its being found and its being used.
 */
public final class FreePort {
    private static final int FIRST = 20_000;
    private static final int LAST = 32_000;
    private static final int ATTEMPTS = 200;

    private FreePort() {}

    /** A port that nobody listens on just now. */
    public static int any() {
        for (int i = 0; i < ATTEMPTS; i++) {
            int port = ThreadLocalRandom.current().nextInt(FIRST, LAST);
            try (ServerSocket socket = new ServerSocket(port)) {
                return socket.getLocalPort();
            } catch (IOException taken) {
                // The next one may be free.
            }
        }
        throw new IllegalStateException("no port is free from " + FIRST + " to " + LAST);
    }
}
