package app.jubek.formats.mbox;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class MailboxFileTest {
    private static List<String> messages(String file) throws IOException {
        List<String> found = new ArrayList<>();
        byte[] bytes = file.getBytes(StandardCharsets.ISO_8859_1);
        try (MailboxFile many = new MailboxFile(new ByteArrayInputStream(bytes))) {
            for (Optional<byte[]> next = many.next(); next.isPresent(); next = many.next()) {
                found.add(new String(next.get(), StandardCharsets.ISO_8859_1));
            }
        }
        return found;
    }

    /** RFC 4155 App. A: a separator stands at the beginning or below an empty line, which belongs to the file. */
    @Test
    void aMessageBeginsAfterItsSeparator() throws IOException {
        String file = "From a@x.example Mon May  4 09:00:00 2026\nSubject: one\n\ntext\n\n"
                + "From b@x.example Mon May  4 09:00:01 2026\r\nSubject: two\r\n\r\ntext\r\n\r\n";
        assertThat(messages(file)).containsExactly("Subject: one\n\ntext\n", "Subject: two\r\n\r\ntext\r\n");
    }

    /** Common practice: what was quoted when it was written loses its sign; a sentence is no separator. */
    @Test
    void aLineOfTheTextIsNoSeparator() throws IOException {
        String file = "From a Mon May  4 09:00:00 2026\nSubject: one\n\n\nFrom here on it is easy.\n>From b\n>>From c\n"
                + "text\nFrom d Mon May  4 09:00:00 2026\n";
        assertThat(messages(file))
                .containsExactly("Subject: one\n\n\nFrom here on it is easy.\nFrom b\n>From c\ntext\n"
                        + "From d Mon May  4 09:00:00 2026\n");
    }

    @Test
    void anEmptyFileAndOneWithoutSeparatorHoldNothing() throws IOException {
        assertThat(messages("")).isEmpty();
        assertThat(messages("Subject: x\n\ny\n")).isEmpty();
        assertThat(messages("From a Mon May  4 09:00:00 2026\n")).containsExactly("");
    }
}
