package app.jubek.demo.postoffice;

import app.jubek.demo.faults.Certificates;
import app.jubek.demo.faults.FaultBench;
import app.jubek.demo.faults.Relay;
import app.jubek.demo.garden.GardenMail;
import app.jubek.demo.garden.Week;
import app.jubek.demo.imap.QuickImap;
import com.icegreen.greenmail.util.ServerSetup;
import jakarta.mail.Flags;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** SMTP, IMAP and a small HTTP interface on loopback, over one folder of mail. */
public final class PostOffice implements AutoCloseable {
    private static final long START_LIMIT_MS = 20_000;

    private final Mailboxes mailboxes;
    private final OffsetClock clock;
    private final FaultBench bench = new FaultBench();
    private final Settings settings;
    private final Certificates certificates;
    private final SmtpSide smtp;
    private final QuickImap imap;
    private final ControlApi control;
    private final Traffic traffic;
    private Optional<Relay> smtpRelay = Optional.empty();
    private Optional<Relay> imapRelay = Optional.empty();

    /**
     * @param data the folder that keeps everything
     * @param password of every mailbox
     */
    public record Settings(Path data, int smtpPort, int imapPort, int controlPort, String password) {
        /** On three ports that nobody listens on just now. */
        public static Settings onFreePorts(Path data, String password) {
            List<Integer> ports = FreePort.some(3);
            return new Settings(data, ports.get(0), ports.get(1), ports.get(2), password);
        }
    }

    public PostOffice(Settings settings, Arrivals arrivals) {
        try {
            Files.createDirectories(settings.data());
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
        this.settings = settings;
        certificates = new Certificates(settings.data().resolve("certificates"));
        clock = new OffsetClock(settings.data().resolve("clock-offset"));
        mailboxes = new Mailboxes(settings.data(), settings.password());
        smtp = new SmtpSide(mailboxes, settings.password(), clock, arrivals);
        imap = new QuickImap(new ServerSetup(0, "127.0.0.1", ServerSetup.PROTOCOL_IMAP), mailboxes);
        Writing writing = new Writing(settings.smtpPort(), clock);
        traffic = new Traffic(settings.data(), clock, bench, writing);
        control = new ControlApi(
                settings,
                mailboxes,
                clock,
                new FaultApi(bench, certificates, mailboxes, this::breakOff),
                new TrafficApi(traffic, writing));
    }

    public void start() {
        smtp.start();
        imap.startService();
        try {
            if (!imap.waitTillRunning(START_LIMIT_MS)) {
                throw new IllegalStateException("IMAP did not start within 20 seconds");
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
        smtpRelay = Optional.of(Relay.smtp(settings.smtpPort(), smtp.port(), bench, certificates));
        imapRelay = Optional.of(Relay.imap(settings.imapPort(), imap.getPort(), bench, certificates));
        smtpRelay.get().start();
        imapRelay.get().start();
        control.start();
    }

    /** Breaks every connection off. */
    public void breakOff() {
        smtpRelay.ifPresent(Relay::dropAll);
        imapRelay.ifPresent(Relay::dropAll);
    }

    public OffsetClock clock() {
        return clock;
    }

    /** As after a restore from a backup: another UIDVALIDITY, other UIDs. */
    public void renumber(String address, String folder) {
        mailboxes.renumber(address, folder);
        breakOff();
    }

    /** A store of the certificates that TLS is spoken with. */
    public Path trustedCertificates() throws IOException {
        return certificates.trusted();
    }

    /** What is to go wrong. */
    public FaultBench bench() {
        return bench;
    }

    /** Takes a message as if it had come by SMTP, past everything that is to go wrong. */
    public void deliver(String from, String to, byte[] bytes) {
        smtp.take(from, to, bytes);
    }

    /** The bytes of every message in a folder; empty when there is no such folder. */
    public List<byte[]> raw(String address, String folder) {
        return mailboxes.raw(address, folder);
    }

    /** Makes mailboxes that are to exist before any mail comes in. */
    public void open(List<String> addresses) {
        addresses.forEach(mailboxes::named);
    }

    /** Puts past mail into a mailbox, unless it holds some already. */
    public void fill(String address, List<GardenMail.Letter> letters) {
        mailboxes.named(address);
        if (!isEmpty(address)) {
            return;
        }
        for (GardenMail.Letter letter : letters) {
            mailboxes.append(address, letter.folder(), letter.bytes(), flags(letter), letter.received());
        }
    }

    /**
     * Past mail of the gardens up to an instant, unless there is some already. Where the last week is to come by itself,
     * the clock stands at its beginning, and mail comes in now and then after it.
     */
    public void fillGardens(Instant end, int messages, boolean week) {
        open(GardenMail.COLLEAGUES);
        Path until = settings.data().resolve("filled-until");
        try {
            if (isEmpty(GardenMail.VISITS)) {
                Files.writeString(until, end.toString());
                clock.moveTo(week ? Week.LENGTH.negated() : Duration.ZERO);
                if (!week) {
                    traffic.leaveOut(end);
                }
            }
            Instant filled = Files.exists(until) ? Instant.parse(Files.readString(until)) : end;
            GardenMail mail = GardenMail.of(GardenMail.SEED, filled, messages);
            fill(GardenMail.VISITS, week ? mail.before(filled.minus(Week.LENGTH)) : mail.letters());
            if (week && Files.exists(until)) {
                traffic.expect(filled, mail);
            }
            if (week) {
                traffic.change(new Traffic.Pace(false, Traffic.USUAL_SECONDS));
            }
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
    }

    private boolean isEmpty(String address) {
        return mailboxes
                .folder(address, "INBOX")
                .map(f -> f.getMessageCount() == 0)
                .orElse(true);
    }

    private static Flags flags(GardenMail.Letter letter) {
        Flags flags = new Flags();
        if (letter.seen()) {
            flags.add(Flags.Flag.SEEN);
        }
        return flags;
    }

    @Override
    public void close() {
        traffic.close();
        control.stop();
        smtpRelay.ifPresent(Relay::close);
        imapRelay.ifPresent(Relay::close);
        smtp.stop();
        imap.stopService();
    }

    /**
     * {@code --data DIR --smtp PORT --imap PORT --control PORT --password WORD [--messages N [--week yes]]}: with N, past
     * mail of the gardens up to now.
     */
    public static void main(String[] arguments) {
        Arguments given = new Arguments(arguments);
        Settings settings = new Settings(
                Path.of(given.text("data")),
                given.number("smtp"),
                given.number("imap"),
                given.number("control"),
                given.text("password"));
        PostOffice office = new PostOffice(settings, bytes -> {});
        given.optional("messages")
                .map(Integer::parseInt)
                .ifPresent(messages -> office.fillGardens(
                        Instant.now().truncatedTo(ChronoUnit.SECONDS),
                        messages,
                        given.optional("week").isPresent()));
        office.start();
        Runtime.getRuntime().addShutdownHook(new Thread(office::close));
        System.out.printf(Locale.ROOT, "post office: SMTP %d, IMAP %d%n", settings.smtpPort(), settings.imapPort());
    }
}
