package app.jubek.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.message.ReadingNote;
import app.jubek.server.intake.MessageLine;
import app.jubek.server.intake.Messages;
import jakarta.mail.Message;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Whatever comes in is stored, decided as far as it can be read, listed as such, and the watcher goes on. */
class HardMailTest extends ServerTest {
    @Autowired
    private Messages messages;

    private MessageLine taken(String mail) {
        return taken(mail.getBytes(StandardCharsets.UTF_8));
    }

    private MessageLine taken(byte[] mail) {
        settled();
        long before = jdbc.sql("select coalesce(max(id), 0) from message")
                .query(Long.class)
                .single();
        send("odd@outside.example", World.VISITS, mail);
        await(
                "it is stored",
                () -> jdbc.sql("select count(*) from message where id > ?")
                                .param(before)
                                .query(Integer.class)
                                .single()
                        == 1);
        long id = jdbc.sql("select max(id) from message").query(Long.class).single();
        assertThat(jdbc.sql("select decision is not null from message where id = ?")
                        .param(id)
                        .query(Boolean.class)
                        .single())
                .as("decided")
                .isTrue();
        return messages.lines(mailbox, List.of(id)).get(id);
    }

    @Test
    void noHeadersBinaryRubbishAndNulBytes() {
        assertThat(taken("\r\njust words").subject()).isEmpty();
        byte[] rubbish = new byte[20_000];
        new Random(5).nextBytes(rubbish);
        assertThat(taken(rubbish).status().name()).isEqualTo("DECIDED");
        assertThat(taken("Subject: nul\r\n\r\na\0b").subject()).isEqualTo("nul");
    }

    /** Alike in every byte, without a Message-ID: what the mail server notes on their way tells them apart. */
    @Test
    void twoBlankMessagesAreTwoAndACopyOfOneIsTheSame() {
        String blank = "Subject: blank twin\r\n\r\n";
        MessageLine first = taken("Received: by mx.outside.example id 1\r\n" + blank);
        MessageLine second = taken("Received: by mx.outside.example id 2\r\n" + blank);
        assertThat(second.id()).isNotEqualTo(first.id());
        inFolder(World.VISITS, "INBOX", all -> {
            for (Message one : all) {
                if (one.getReceivedDate() != null && "blank twin".equals(one.getSubject())) {
                    one.getFolder().copyMessages(new Message[] {one}, one.getFolder());
                }
            }
            return all;
        });
        await(
                "both copies are seen",
                () -> messages.open(mailbox, first.id()).repeats().isPresent()
                        && messages.open(mailbox, second.id()).repeats().isPresent());
        assertThat(messages.open(mailbox, first.id()).repeats().orElseThrow().times())
                .isEqualTo(1);
        assertThat(jdbc.sql("select count(*) from message where subject = 'blank twin'")
                        .query(Integer.class)
                        .single())
                .isEqualTo(2);
    }

    @Test
    void thirtyMegabytesAThousandPartsAndTenThousandRecipients() {
        byte[] big = new byte[30 << 20];
        Arrays.fill(big, (byte) 'y');
        for (int i = 78; i < big.length; i += 78) {
            big[i - 1] = '\r';
            big[i] = '\n';
        }
        byte[] head = "Subject: big\r\n\r\n".getBytes(StandardCharsets.US_ASCII);
        System.arraycopy(head, 0, big, 0, head.length);
        assertThat(taken(big).notes()).anyMatch(n -> n.is(ReadingNote.TEXT_CUT));
        StringBuilder nested = new StringBuilder("Subject: deep\r\n");
        for (int i = 0; i < 1_000; i++) {
            nested.append("Content-Type: multipart/mixed; boundary=b")
                    .append(i)
                    .append("\r\n\r\n--b")
                    .append(i)
                    .append("\r\n");
        }
        assertThat(taken(nested.toString()).notes()).contains(ReadingNote.NESTED_TOO_DEEP.with(50));
        assertThat(taken("Subject: crowd\r\nTo: " + ("a@b.c,".repeat(100) + "\r\n ").repeat(101) + "c@d.e\r\n\r\nx")
                        .notes())
                .contains(ReadingNote.ADDRESSES_LEFT.with("To", 10_000));
    }

    @Test
    void anUnknownCharsetTheYearZeroAndMessageIdsThatAreMissingOrUsedTwice() {
        assertThat(taken(
                                "Subject: charset\r\nMessage-ID: <c@x.example>\r\nContent-Type: text/plain; charset=none-such\r\n\r\nhello")
                        .notes())
                .contains(ReadingNote.CHARSET_UNKNOWN.with("none-such"));
        assertThat(taken("Subject: year\r\nMessage-ID: <y@x.example>\r\nDate: Mon, 1 Jan 0000 00:00:00 +0000\r\n\r\nx")
                        .notes())
                .contains(ReadingNote.NO_DATE.with());
        assertThat(taken("Subject: none\r\n\r\nx").notes()).contains(ReadingNote.NO_MESSAGE_ID.with());
        assertThat(taken("Subject: twice\r\nMessage-ID: <y@x.example>\r\n\r\nother")
                        .notes())
                .contains(ReadingNote.MESSAGE_ID_TWICE.with());
    }
}
