package app.jubek.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.Mails;
import app.jubek.core.OpenMail;
import app.jubek.core.address.MailAddress;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.ReadingNote;
import app.jubek.core.message.Role;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import java.io.ByteArrayInputStream;
import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Properties;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

/** All of the open mail is read, as Angus Mail reads it; nothing that is done to it makes reading fail. */
class OpenMailTest {
    private static final int MUTANTS = 20_000;
    private static final long SLOW_NANOS = 200_000_000L;

    private record Reader(MimeMessage message) {
        static Reader of(byte[] bytes) throws MessagingException {
            Properties lenient = new Properties();
            lenient.put("mail.mime.address.strict", "false");
            return new Reader(new MimeMessage(Session.getInstance(lenient), new ByteArrayInputStream(bytes)));
        }

        /** Addresses of the field, those in groups among them, in lower case; none when Angus finds it unreadable. */
        List<String> addresses(String field) throws MessagingException {
            String[] raw = message.getHeader(field);
            List<String> all = new ArrayList<>();
            for (String value : raw == null ? new String[0] : raw) {
                for (InternetAddress address : InternetAddress.parseHeader(value, false)) {
                    boolean group = address.isGroup();
                    for (InternetAddress one : group ? address.getGroup(false) : new InternetAddress[] {address}) {
                        all.add(String.valueOf(one.getAddress()).toLowerCase(java.util.Locale.ROOT));
                    }
                }
            }
            return all;
        }
    }

    @Test
    void allOfItIsReadAndAddressesAndSubjectsAreThoseThatAngusReads() throws Exception {
        List<Path> files = OpenMail.files();
        int whole = 0;
        int compared = 0;
        Map<String, List<String>> differences = new TreeMap<>();
        for (Path file : files) {
            byte[] bytes = OpenMail.bytes(file);
            ReadMessage read = Mails.read(bytes);
            whole += read.notes().stream().anyMatch(n -> n.is(ReadingNote.READ_IN_PART)) ? 0 : 1;
            Reader angus = Reader.of(bytes);
            for (Role role : List.of(Role.FROM, Role.TO, Role.CC)) {
                compared++;
                List<String> ours = read.in(role).stream().map(MailAddress::key).toList();
                if (!ours.equals(angusAddresses(angus, role))) {
                    differences
                            .computeIfAbsent("addresses", k -> new ArrayList<>())
                            .add(file.getFileName() + " " + role);
                }
            }
            compared++;
            String subject = angus.message().getSubject();
            String theirs =
                    subject == null ? "" : subject.replaceAll("\\s+", " ").strip();
            if (!read.subject().equals(theirs)) {
                differences.computeIfAbsent("subjects", k -> new ArrayList<>()).add(file.getFileName() + "");
            }
        }
        assertThat(files).hasSize(6_046);
        assertThat(whole).isGreaterThanOrEqualTo(files.size() * 99 / 100);
        int different = differences.values().stream().mapToInt(List::size).sum();
        System.out.printf(
                "open mail: %d of %d read whole, %d of %d fields differ from Angus Mail: %s%n",
                whole, files.size(), different, compared, summary(differences));
        assertThat(different).isLessThan(compared / 100);
    }

    /** Of messages that are one plain text, and whose charset Angus knows: the same text, line ends aside. */
    @Test
    void plainTextsAreThoseThatAngusReads() throws Exception {
        int compared = 0;
        List<String> different = new ArrayList<>();
        for (Path file : OpenMail.files()) {
            byte[] bytes = OpenMail.bytes(file);
            MimeMessage theirs = Reader.of(bytes).message();
            boolean plain = theirs.isMimeType("text/plain")
                    && theirs.getFileName() == null
                    && new String(bytes, StandardCharsets.ISO_8859_1).chars().allMatch(c -> c < 0x80);
            Optional<String> text = plain ? text(theirs) : Optional.empty();
            if (text.isPresent()) {
                compared++;
                String ours = String.join("", Mails.read(bytes).texts());
                if (!lines(ours).equals(lines(text.get()))) {
                    different.add(file.getFileName().toString());
                }
            }
        }
        System.out.printf(
                "open mail: %d of %d plain texts differ: %s%n",
                different.size(), compared, different.subList(0, Math.min(6, different.size())));
        assertThat(compared).isGreaterThan(3_000);
        assertThat(different.size()).isLessThan(compared / 100);
    }

    private static Optional<String> text(MimeMessage message) {
        try {
            return message.getContent() instanceof String text ? Optional.of(text) : Optional.empty();
        } catch (MessagingException | java.io.IOException unreadable) {
            return Optional.empty();
        }
    }

    private static String lines(String text) {
        return text.replace("\r\n", "\n").strip();
    }

    private static String summary(Map<String, List<String>> differences) {
        StringBuilder all = new StringBuilder();
        differences.forEach((kind, where) -> all.append(kind)
                .append(' ')
                .append(where.size())
                .append(' ')
                .append(where.subList(0, Math.min(6, where.size())))
                .append("; "));
        return all.toString();
    }

    private static List<String> angusAddresses(Reader angus, Role role) {
        try {
            return angus.addresses(role.field());
        } catch (MessagingException unreadable) {
            return List.of("unreadable");
        }
    }

    /** 20,000 seeded changes of bytes: none throws, none takes over 200 ms of thread time when it is read again. */
    @Test
    void whateverIsDoneToAMessageItIsReadInShortTime() {
        List<Path> files = OpenMail.files();
        Random random = new Random(20_261_126);
        ThreadMXBean threads = ManagementFactory.getThreadMXBean();
        byte[] bytes = new byte[0];
        int kept = 0;
        for (int i = 0; i < MUTANTS; i++) {
            if (i % 20 == 0) {
                bytes = OpenMail.bytes(files.get(random.nextInt(files.size())));
            }
            byte[] mutant = mutant(bytes, random);
            long began = threads.getCurrentThreadCpuTime();
            ReadMessage read = Mails.read(mutant);
            long took = threads.getCurrentThreadCpuTime() - began;
            assertThat(read.size()).isEqualTo(mutant.length);
            if (took > SLOW_NANOS) {
                long again = threads.getCurrentThreadCpuTime();
                Mails.read(mutant);
                assertThat(threads.getCurrentThreadCpuTime() - again).isLessThan(SLOW_NANOS);
            }
            kept++;
        }
        assertThat(kept).isEqualTo(MUTANTS);
    }

    private static byte[] mutant(byte[] bytes, Random random) {
        byte[] mutant = bytes.clone();
        int at = random.nextInt(mutant.length);
        return switch (random.nextInt(5)) {
            case 0 -> {
                mutant[at] = (byte) random.nextInt(256);
                yield mutant;
            }
            case 1 -> Arrays.copyOf(mutant, at);
            case 2 -> {
                int length = Math.min(random.nextInt(200), mutant.length - at);
                Arrays.fill(mutant, at, at + length, (byte) "\r\n:;=\"<>( \0".charAt(random.nextInt(11)));
                yield mutant;
            }
            case 3 -> {
                byte[] more = Arrays.copyOf(mutant, mutant.length + at);
                System.arraycopy(mutant, 0, more, mutant.length, at);
                yield more;
            }
            default -> {
                byte[] inserted = "\r\nContent-Type: multipart/mixed; boundary=x\r\n\r\n--x\r\n"
                        .getBytes(StandardCharsets.US_ASCII);
                System.arraycopy(
                        inserted,
                        0,
                        mutant,
                        Math.min(at, Math.max(0, mutant.length - inserted.length)),
                        Math.min(inserted.length, mutant.length));
                yield mutant;
            }
        };
    }

    /** A field that was not touched is read as before. */
    @Test
    void aBrokenFieldLeavesTheOthersAsTheyAre() {
        Random random = new Random(3);
        for (Path file : OpenMail.files().subList(0, 300)) {
            byte[] bytes = OpenMail.bytes(file);
            ReadMessage before = Mails.read(bytes);
            byte[] broken = new byte[200];
            random.nextBytes(broken);
            String junk = new String(broken, StandardCharsets.ISO_8859_1).replaceAll("[\\r\\n]", "x");
            byte[] with = ("X-Broken: " + junk + "\r\n" + new String(bytes, StandardCharsets.ISO_8859_1))
                    .getBytes(StandardCharsets.ISO_8859_1);
            ReadMessage after = Mails.read(with);
            assertThat(after.subject()).isEqualTo(before.subject());
            assertThat(after.addresses()).isEqualTo(before.addresses());
            assertThat(after.texts()).isEqualTo(before.texts());
        }
    }
}
