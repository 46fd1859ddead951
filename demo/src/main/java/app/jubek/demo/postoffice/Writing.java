package app.jubek.demo.postoffice;

import app.jubek.demo.garden.Posted;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.Transport;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.Date;
import java.util.Properties;

/** Writes a plain message as any correspondent and hands it in by SMTP like any mail program. */
final class Writing {
    private final int smtpPort;
    private final Clock clock;

    Writing(int smtpPort, Clock clock) {
        this.smtpPort = smtpPort;
        this.clock = clock;
    }

    void send(TrafficApi.Written written) throws IOException {
        try {
            InternetAddress[] from = InternetAddress.parse(written.from());
            if (from.length != 1) {
                throw new IOException("give one address to write from, not \"" + written.from() + "\"");
            }
            Session session = Session.getInstance(properties(from[0].getAddress()));
            MimeMessage message = new MimeMessage(session);
            from[0].setPersonal(from[0].getPersonal(), StandardCharsets.UTF_8.name());
            message.setFrom(from[0]);
            message.setRecipients(jakarta.mail.Message.RecipientType.TO, InternetAddress.parse(written.to()));
            message.setSubject(written.subject(), StandardCharsets.UTF_8.name());
            message.setText(written.text(), StandardCharsets.UTF_8.name());
            message.setSentDate(Date.from(clock.instant()));
            Transport.send(message);
        } catch (MessagingException refused) {
            throw new IOException(refused.getMessage(), refused);
        }
    }

    /** Hands a finished message in, byte for byte. */
    void post(Posted letter) throws IOException {
        try {
            String from = letter.from().isEmpty() ? "<>" : letter.from();
            Session session = Session.getInstance(properties(from));
            MimeMessage message = new MimeMessage(session, new ByteArrayInputStream(letter.bytes()));
            try (Transport transport = session.getTransport("smtp")) {
                transport.connect();
                transport.sendMessage(message, InternetAddress.parse(letter.to()));
            }
        } catch (MessagingException refused) {
            throw new IOException(refused.getMessage(), refused);
        }
    }

    private Properties properties(String from) {
        Properties properties = new Properties();
        properties.put("mail.smtp.host", "127.0.0.1");
        properties.put("mail.smtp.port", Integer.toString(smtpPort));
        properties.put("mail.smtp.from", from);
        properties.put("mail.smtp.timeout", "10000");
        properties.put("mail.smtp.connectiontimeout", "10000");
        return properties;
    }
}
