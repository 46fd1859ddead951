package app.jubek.demo.postoffice;

import app.jubek.demo.composing.ComposingStandIn;
import com.icegreen.greenmail.store.MailFolder;
import com.icegreen.greenmail.store.StoredMessage;
import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import jakarta.mail.Address;
import jakarta.mail.Flags;
import jakarta.mail.MessagingException;
import jakarta.mail.internet.MimeMessage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executors;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** HTTP on loopback, for the place Outside and for tests: what every mailbox holds, writing, the clock, faults, composing. */
final class ControlApi {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int LISTED = 200;

    private final Mailboxes mailboxes;
    private final OffsetClock clock;
    private final HttpServer server;

    ControlApi(
            PostOffice.Settings settings, Mailboxes mailboxes, OffsetClock clock, FaultApi faults, TrafficApi traffic) {
        this.mailboxes = mailboxes;
        this.clock = clock;
        try {
            server = HttpServer.create(
                    new InetSocketAddress(InetAddress.getLoopbackAddress(), settings.controlPort()), 0);
        } catch (IOException taken) {
            throw new UncheckedIOException(taken);
        }
        server.setExecutor(Executors.newFixedThreadPool(4));
        server.createContext("/mailboxes", guarded(exchange -> json(exchange, boxes())));
        server.createContext("/messages", guarded(this::messages));
        server.createContext("/raw", guarded(this::raw));
        server.createContext("/write", guarded(exchange -> {
            traffic.write(exchange);
            answer(exchange, 204, "text/plain", new byte[0]);
        }));
        server.createContext("/traffic", guarded(exchange -> json(exchange, traffic.handle(exchange))));
        server.createContext("/clock", guarded(this::clock));
        server.createContext("/composing", guarded(new ComposingStandIn()::handle));
        server.createContext("/faults", guarded(exchange -> json(exchange, faults.handle(exchange))));
    }

    record Box(String address, int messages) {}

    record Line(
            String folder,
            long uid,
            String from,
            String to,
            String subject,
            String received,
            boolean unread,
            boolean flagged) {}

    void start() {
        server.start();
    }

    void stop() {
        server.stop(0);
    }

    private List<Box> boxes() {
        return mailboxes.addresses().stream()
                .map(address -> new Box(
                        address,
                        mailboxes.folders(address).stream()
                                .mapToInt(MailFolder::getMessageCount)
                                .sum()))
                .toList();
    }

    private void messages(HttpExchange exchange) throws IOException {
        String address = query(exchange, "address");
        List<Line> lines = mailboxes.folders(address).stream()
                .flatMap(folder -> folder.getMessages().stream().map(m -> line(folder, m)))
                .sorted(Comparator.comparing(Line::received).reversed())
                .limit(LISTED)
                .toList();
        json(exchange, lines);
    }

    private static Line line(MailFolder folder, StoredMessage stored) {
        MimeMessage message = stored.getMimeMessage();
        try {
            return new Line(
                    folder.getName(),
                    stored.getUid(),
                    shown(message.getFrom()),
                    shown(message.getRecipients(jakarta.mail.Message.RecipientType.TO)),
                    Optional.ofNullable(message.getSubject()).orElse(""),
                    stored.getReceivedDate().toInstant().toString(),
                    !stored.isSet(Flags.Flag.SEEN),
                    stored.isSet(Flags.Flag.FLAGGED));
        } catch (MessagingException unreadable) {
            return new Line(
                    folder.getName(),
                    stored.getUid(),
                    "?",
                    "?",
                    "(can't be read)",
                    stored.getReceivedDate().toInstant().toString(),
                    true,
                    false);
        }
    }

    private static String shown(Address @org.jspecify.annotations.Nullable [] addresses) {
        return addresses == null
                ? ""
                : Arrays.stream(addresses)
                        .map(a -> a instanceof jakarta.mail.internet.InternetAddress i
                                ? i.toUnicodeString()
                                : a.toString())
                        .collect(Collectors.joining(", "));
    }

    private void raw(HttpExchange exchange) throws IOException {
        Optional<StoredMessage> message = mailboxes
                .folder(query(exchange, "address"), query(exchange, "folder"))
                .map(folder -> folder.getMessage(Long.parseLong(query(exchange, "uid"))));
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        if (message.isEmpty()) {
            answer(exchange, 404, "text/plain", "no such message".getBytes(StandardCharsets.UTF_8));
            return;
        }
        try {
            message.get().getMimeMessage().writeTo(out);
        } catch (MessagingException unreadable) {
            throw new IOException(unreadable);
        }
        answer(exchange, 200, "text/plain; charset=utf-8", out.toByteArray());
    }

    private void clock(HttpExchange exchange) throws IOException {
        if (exchange.getRequestMethod().equals("PUT")) {
            JsonNode body = JSON.readTree(exchange.getRequestBody().readAllBytes());
            clock.moveTo(Duration.ofSeconds(body.path("offsetSeconds").longValue()));
        }
        json(exchange, java.util.Map.of("offsetSeconds", clock.offset().toSeconds()));
    }

    private interface Handling {
        void handle(HttpExchange exchange) throws IOException;
    }

    private static com.sun.net.httpserver.HttpHandler guarded(Handling handling) {
        return exchange -> {
            try (exchange) {
                try {
                    handling.handle(exchange);
                } catch (RuntimeException | IOException failed) {
                    byte[] why = String.valueOf(failed.getMessage()).getBytes(StandardCharsets.UTF_8);
                    answer(exchange, 500, "text/plain; charset=utf-8", why);
                }
            }
        };
    }

    private static String query(HttpExchange exchange, String name) {
        String query =
                Optional.ofNullable(exchange.getRequestURI().getRawQuery()).orElse("");
        return Arrays.stream(query.split("&"))
                .filter(pair -> pair.startsWith(name + "="))
                .map(pair -> URLDecoder.decode(pair.substring(name.length() + 1), StandardCharsets.UTF_8))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("missing " + name));
    }

    private static void json(HttpExchange exchange, Object value) throws IOException {
        answer(exchange, 200, "application/json", JSON.writeValueAsBytes(value));
    }

    private static void answer(HttpExchange exchange, int status, String type, byte[] body) throws IOException {
        exchange.getResponseHeaders().set("Content-Type", type);
        exchange.sendResponseHeaders(status, body.length == 0 ? -1 : body.length);
        exchange.getResponseBody().write(body);
    }
}
