package app.jubek.benchmarks;

import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.Transport;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import java.util.Properties;

/** A plain message, handed in by SMTP. */
record Letter(String subject, String to) {
    void send(int smtpPort) {
        Properties properties = new Properties();
        properties.put("mail.smtp.host", "127.0.0.1");
        properties.put("mail.smtp.port", Integer.toString(smtpPort));
        try {
            MimeMessage message = new MimeMessage(Session.getInstance(properties));
            message.setFrom(new InternetAddress("anna@postbox.example"));
            message.setRecipient(jakarta.mail.Message.RecipientType.TO, new InternetAddress(to));
            message.setSubject(subject);
            message.setText("A short message.");
            Transport.send(message);
        } catch (MessagingException failed) {
            throw new IllegalStateException(failed);
        }
    }
}
