package app.jubek.e2e.promises;

import static app.jubek.e2e.promises.Bench.EDUCATION;
import static app.jubek.e2e.promises.Bench.VISITS;

import jakarta.mail.FetchProfile;
import jakarta.mail.Folder;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.Transport;
import jakarta.mail.internet.InternetAddress;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Properties;
import org.eclipse.angus.mail.imap.IMAPFolder;
import org.junit.jupiter.api.Test;

/** 1,700 waiting messages through the whole of Jubek, beside a loop that fetches and sends and does nothing else. */
class FlowRun {
    private static final int MESSAGES = 1_700;
    private static final int BATCH = 100;
    private static final String TEXT = ("A line of some length, as people write it in a message.\r\n").repeat(60);

    @Test
    void messagesASecondAndMemory() throws Exception {
        try (Bench bench = new Bench("flow")) {
            Node node = bench.watching(bench.begin(List.of("-Xmx256m"), Map.of()));
            warmUp(bench);
            long idle = memory(node, "VmRSS");
            bench.faults().call("imap-hangs-at-fetch", 1);
            for (int i = 0; i < MESSAGES; i++) {
                bench.deliver(Bench.letter("f" + i + "@school.example", "tour " + i, TEXT));
            }
            bench.faults().release();
            long began = System.nanoTime();
            Bench.await("all are handed on", Duration.ofMinutes(5), () -> sent(bench) == MESSAGES);
            double jubek = rate(began);
            double bare = bare(bench);
            System.out.printf(
                    Locale.ROOT,
                    "%d messages of 3.4 kB: Jubek %.0f a second (taken in, decided, recorded, redirected), bare loop"
                            + " %.0f a second, ratio %.2f; memory of the process %d MB before, %d MB at most, heap"
                            + " limit 256 MB%n",
                    MESSAGES,
                    jubek,
                    bare,
                    jubek / bare,
                    idle,
                    memory(node, "VmHWM"));
        }
    }

    private static void warmUp(Bench bench) {
        for (int i = 0; i < 200; i++) {
            bench.deliver(Bench.letter("w" + i + "@school.example", "tour warm " + i, TEXT));
        }
        Bench.await(
                "it is warm",
                Duration.ofMinutes(1),
                () -> bench.count("select count(*) from step where state = 'SENT'") == 200);
    }

    private static long sent(Bench bench) {
        return bench.count("select count(*) from step s join message m on m.id = s.message_id"
                + " where m.subject ~ '^tour [0-9]+$' and s.state = 'SENT'");
    }

    private static double rate(long began) {
        return MESSAGES / ((System.nanoTime() - began) / 1e9);
    }

    /** Megabytes that the operating system counts for the process. */
    private static long memory(Node node, String line) throws IOException {
        return Files.readAllLines(Path.of("/proc/" + node.pid() + "/status")).stream()
                        .filter(l -> l.startsWith(line))
                        .mapToLong(l -> Long.parseLong(l.replaceAll("\\D", "")))
                        .sum()
                / 1_024;
    }

    private static double bare(Bench bench) throws MessagingException {
        Properties properties = new Properties();
        properties.put("mail.smtp.host", "127.0.0.1");
        properties.put("mail.smtp.port", "" + bench.settings.smtpPort());
        properties.put("mail.smtp.from", VISITS);
        return bench.imap(VISITS, "INBOX", (store, inbox) -> rate(forward(inbox, properties)));
    }

    private static long forward(Folder inbox, Properties properties) throws MessagingException {
        Message[] messages = inbox.getMessages();
        InternetAddress[] to = {new InternetAddress(EDUCATION)};
        FetchProfile whole = new FetchProfile();
        whole.add(IMAPFolder.FetchProfileItem.MESSAGE);
        long began = System.nanoTime();
        try (Transport transport = Session.getInstance(properties).getTransport("smtp")) {
            transport.connect();
            for (int i = messages.length - MESSAGES; i < messages.length; i++) {
                if ((messages.length - i) % BATCH == 0) {
                    inbox.fetch(Arrays.copyOfRange(messages, i, Math.min(i + BATCH, messages.length)), whole);
                }
                transport.sendMessage(messages[i], to);
            }
        }
        return began;
    }
}
