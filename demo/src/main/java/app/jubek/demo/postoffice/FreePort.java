package app.jubek.demo.postoffice;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.util.ArrayList;
import java.util.List;
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
        return some(1).get(0);
    }

    /** As many different ones; all are taken together before any is given back. */
    public static List<Integer> some(int count) {
        List<ServerSocket> taken = new ArrayList<>();
        try {
            while (taken.size() < count) {
                taken.add(listening());
            }
            return taken.stream().map(ServerSocket::getLocalPort).toList();
        } finally {
            taken.forEach(FreePort::close);
        }
    }

    private static ServerSocket listening() {
        for (int i = 0; i < ATTEMPTS; i++) {
            try {
                return new ServerSocket(ThreadLocalRandom.current().nextInt(FIRST, LAST));
            } catch (IOException taken) {
                // The next one may be free.
            }
        }
        throw new IllegalStateException("no port is free from " + FIRST + " to " + LAST);
    }

    private static void close(ServerSocket socket) {
        try {
            socket.close();
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
    }
}
