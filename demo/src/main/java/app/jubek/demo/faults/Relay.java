package app.jubek.demo.faults;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;

/** Listens where clients connect and holds a conversation with the real server for each of them. */
public final class Relay implements AutoCloseable {
    /** This machine alone; the lock of TLS is tried on an address that is not 127.0.0.1. */
    private static final List<String> ADDRESSES = List.of("127.0.0.1", "127.0.0.2");

    private final int port;
    private final int serverPort;
    private final Talk talk;
    private final Set<Conversation> open = ConcurrentHashMap.newKeySet();
    private final ExecutorService threads = Executors.newCachedThreadPool(task -> {
        Thread thread = new Thread(task, "relay");
        thread.setDaemon(true);
        return thread;
    });
    private volatile List<ServerSocket> listening;

    /** The protocol that is relayed. */
    interface Talk {
        void relay(Conversation conversation) throws IOException;
    }

    /**
     * Both ends of one conversation.
     *
     * @param number how many are open, this one included
     */
    record Conversation(Wire client, Wire server, int number, ExecutorService threads) implements AutoCloseable {
        @Override
        public void close() {
            client.close();
            server.close();
        }
    }

    private Relay(int port, int serverPort, Talk talk) {
        this.port = port;
        this.serverPort = serverPort;
        this.talk = talk;
        this.listening = ADDRESSES.stream().map(this::listen).toList();
    }

    public static Relay smtp(int port, int serverPort, FaultBench bench, Certificates certificates) {
        return new Relay(port, serverPort, c -> new SmtpTalk(c, bench, certificates).run());
    }

    public static Relay imap(int port, int serverPort, FaultBench bench, Certificates certificates) {
        return new Relay(port, serverPort, c -> new ImapTalk(c, bench, certificates).run());
    }

    public void start() {
        listening.forEach(socket -> threads.execute(() -> accept(socket)));
    }

    /** Breaks every conversation off. */
    public void dropAll() {
        open.forEach(Conversation::close);
    }

    private ServerSocket listen(String address) {
        try {
            ServerSocket socket = new ServerSocket();
            socket.setReuseAddress(true);
            socket.bind(new InetSocketAddress(address, port), 200);
            return socket;
        } catch (IOException taken) {
            throw new UncheckedIOException("port " + port + " can't be listened on", taken);
        }
    }

    private void accept(ServerSocket socket) {
        while (!socket.isClosed()) {
            try {
                Socket client = socket.accept();
                threads.execute(() -> converse(client));
            } catch (IOException closed) {
                return;
            }
        }
    }

    private void converse(Socket client) {
        try (Socket server = new Socket("127.0.0.1", serverPort);
                Conversation conversation =
                        new Conversation(new Wire(client), new Wire(server), open.size() + 1, threads)) {
            open.add(conversation);
            try {
                talk.relay(conversation);
            } finally {
                open.remove(conversation);
            }
        } catch (IOException over) {
            closeQuietly(client);
        }
    }

    private static void closeQuietly(Socket socket) {
        try {
            socket.close();
        } catch (IOException gone) {
            // It is closed either way.
        }
    }

    @Override
    public void close() {
        try {
            for (ServerSocket socket : listening) {
                socket.close();
            }
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
        dropAll();
        threads.shutdownNow();
    }
}
