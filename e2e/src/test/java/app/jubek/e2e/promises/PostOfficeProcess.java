package app.jubek.e2e.promises;

import app.jubek.demo.postoffice.FreePort;
import jakarta.mail.Folder;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.Transport;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Properties;
import org.eclipse.angus.mail.imap.IMAPFolder;
import org.eclipse.angus.mail.imap.IMAPStore;

/** The post office as the demo runs it, a process of its own. */
final class PostOfficeProcess implements AutoCloseable {
    private final Path data;
    private final List<Integer> ports = FreePort.some(3);
    private final int smtp = ports.get(0);
    private final int imap = ports.get(1);
    private final int control = ports.get(2);
    private Process process;

    PostOfficeProcess(Path data) throws IOException {
        this.data = data;
        start();
    }

    void start() throws IOException {
        process = new ProcessBuilder(
                        "java",
                        "-Xshare:auto",
                        "-XX:TieredStopAtLevel=1",
                        "-cp",
                        System.getProperty("java.class.path"),
                        "app.jubek.demo.postoffice.PostOffice",
                        "--data",
                        data.toString(),
                        "--smtp",
                        "" + smtp,
                        "--imap",
                        "" + imap,
                        "--control",
                        "" + control,
                        "--password",
                        "ostrel")
                .redirectErrorStream(true)
                .start();
        BufferedReader out =
                new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
        for (String line = out.readLine(); line != null; line = out.readLine()) {
            if (line.startsWith("post office:")) {
                return;
            }
        }
        throw new IllegalStateException("the post office did not start");
    }

    void send(String subject) throws MessagingException {
        Properties properties = new Properties();
        properties.put("mail.smtp.host", "127.0.0.1");
        properties.put("mail.smtp.port", "" + smtp);
        MimeMessage message = new MimeMessage(Session.getInstance(properties));
        message.setFrom(new InternetAddress(Bench.ANNA));
        message.setRecipient(Message.RecipientType.TO, new InternetAddress(Bench.VISITS));
        message.setSubject(subject);
        message.setText("x");
        Transport.send(message);
    }

    /** UIDVALIDITY, UID and subject of all that lies in the inbox. */
    String inbox() throws MessagingException {
        Properties properties = new Properties();
        properties.put("mail.imap.connectiontimeout", "30000");
        properties.put("mail.imap.timeout", "30000");
        try (IMAPStore store = (IMAPStore) Session.getInstance(properties).getStore("imap")) {
            store.connect("127.0.0.1", imap, Bench.VISITS, "ostrel");
            IMAPFolder inbox = (IMAPFolder) store.getFolder("INBOX");
            inbox.open(Folder.READ_ONLY);
            StringBuilder all = new StringBuilder().append(inbox.getUIDValidity());
            for (Message message : inbox.getMessages()) {
                all.append(' ').append(inbox.getUID(message)).append(' ').append(message.getSubject());
            }
            return all.toString();
        }
    }

    void kill() throws IOException {
        process.destroyForcibly();
        try {
            process.waitFor();
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    @Override
    public void close() {
        process.destroyForcibly();
    }
}
