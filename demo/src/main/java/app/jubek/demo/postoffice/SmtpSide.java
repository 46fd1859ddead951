package app.jubek.demo.postoffice;

import app.jubek.core.address.MailAddress;
import app.jubek.core.exchange.Posted;
import app.jubek.demo.garden.SenderChecks;
import app.jubek.demo.recipients.Answering;
import app.jubek.demo.recipients.Bounces;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.subethamail.smtp.MessageContext;
import org.subethamail.smtp.MessageHandler;
import org.subethamail.smtp.auth.EasyAuthenticationHandlerFactory;
import org.subethamail.smtp.auth.LoginFailedException;
import org.subethamail.smtp.server.SMTPServer;

/**
 * The accepting side: takes mail for anybody, also from those who do not sign in, as mail servers of recipients do; writes
 * the trace fields on top and delivers.
 */
final class SmtpSide {
    private static final DateTimeFormatter DATE =
            DateTimeFormatter.ofPattern("EEE, d MMM yyyy HH:mm:ss Z", Locale.ENGLISH);
    private static final int MAX_BYTES = 64 << 20;

    private final Mailboxes mailboxes;
    private final OffsetClock clock;
    private final Arrivals arrivals;
    private final Answering answering;
    private final SMTPServer server;

    SmtpSide(Mailboxes mailboxes, String password, OffsetClock clock, Arrivals arrivals) {
        this.mailboxes = mailboxes;
        this.clock = clock;
        this.arrivals = arrivals;
        this.answering = new Answering(clock::instant);
        this.server = SMTPServer.port(0)
                .bindAddress(java.net.InetAddress.getLoopbackAddress())
                .hostName("post-office.example")
                .maxMessageSize(MAX_BYTES)
                .maxRecipients(1_000)
                .insertReceivedHeaders(false)
                .fromAddressValidator(address -> true)
                .authenticationHandlerFactory(new EasyAuthenticationHandlerFactory((user, given, context) -> {
                    if (!given.equals(password)) {
                        throw new LoginFailedException();
                    }
                }))
                .messageHandlerFactory(Handler::new)
                .build();
    }

    void start() {
        server.start();
    }

    int port() {
        return server.getPortAllocated();
    }

    void stop() {
        server.stop();
    }

    /** Delivers a message with the trace fields on top. */
    void take(String from, String to, byte[] bytes) {
        Instant now = clock.instant();
        mailboxes.deliver(to, traced("localhost", from, to, bytes, now), now);
    }

    private void take(Posted answer) {
        String from = answer.envelopeSender().map(MailAddress::address).orElse("");
        answer.to().forEach(to -> take(from, to.address(), answer.bytes()));
    }

    private static byte[] traced(String helo, String from, String recipient, byte[] bytes, Instant now) {
        String trace = "Return-Path: <" + from + ">\r\n"
                + "Received: from " + helo + " by post-office.example with ESMTP\r\n"
                + "\tfor <" + recipient + ">; " + DATE.format(now.atOffset(ZoneOffset.UTC)) + "\r\n";
        String checks = SenderChecks.of(from);
        trace += checks.isEmpty() ? "" : "Authentication-Results: " + checks + "\r\n";
        ByteArrayOutputStream whole = new ByteArrayOutputStream(bytes.length + trace.length());
        whole.writeBytes(trace.getBytes(StandardCharsets.US_ASCII));
        whole.writeBytes(bytes);
        return whole.toByteArray();
    }

    private final class Handler implements MessageHandler {
        private final MessageContext context;
        private final List<String> recipients = new ArrayList<>();
        private final List<byte[]> reports = new ArrayList<>();
        private final List<Posted> answers = new ArrayList<>();
        private String from = "";

        Handler(MessageContext context) {
            this.context = context;
        }

        @Override
        public void from(String address) {
            from = address;
        }

        @Override
        public void recipient(String address) {
            recipients.add(address);
        }

        @Override
        public String data(InputStream content) throws IOException {
            byte[] bytes = content.readAllBytes();
            Instant now = clock.instant();
            String helo = context.getHelo().orElse("unknown");
            for (String recipient : recipients) {
                if (!Bounces.takesNothing(recipient)) {
                    byte[] arrived = traced(helo, from, recipient, bytes, now);
                    mailboxes.deliver(recipient, arrived, now);
                    answering.to(arrived, recipient).ifPresent(answers::add);
                }
                Bounces.of(from, recipient, bytes).ifPresent(reports::add);
            }
            arrivals.accepted(bytes);
            return "accepted";
        }

        @Override
        public void done() {
            reports.forEach(report -> take("", from, report));
            reports.clear();
            answers.forEach(SmtpSide.this::take);
            answers.clear();
            recipients.clear();
        }
    }
}
