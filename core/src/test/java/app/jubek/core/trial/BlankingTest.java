package app.jubek.core.trial;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.Mails;
import app.jubek.core.address.MailAddress;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.SentBy;
import org.junit.jupiter.api.Test;

/** What is kept of a person in a trial. */
class BlankingTest {
    private static final ReadMessage MESSAGE = Mails.read("From: Mara Lindqvist <mara@birkhall.example>\r\n"
            + "To: visits@ostrel-gardens.example, jo@birkhall.example\r\nSubject: Photo permit for Lindqvist\r\n"
            + "List-Id: <members.list.example>\r\nReceived: from a by b; Mon, 2 Mar 2026 10:00:00 +0000\r\n"
            + "\r\nMay we?\r\n");

    @Test
    void namesAddressesAndLongNumbersGoAndTheRestStays() {
        Blanking blanking = Blanking.of(MESSAGE, Mails.VISITS);
        assertThat(blanking.address(MESSAGE.sender().orElseThrow()).inFull())
                .isEqualTo("Person 1 <person1@birkhall.example>");
        assertThat(blanking.text("Mara here (mara@birkhall.example, +46 70 123 45 67). On 6 March, permit 114? Write to"
                        + " visits@ostrel-gardens.example or jo@birkhall.example.\nLindqvist"))
                .isEqualTo("… here (person1@birkhall.example, +00 00 000 00 00). On 6 March, permit 114? Write to"
                        + " visits@ostrel-gardens.example or person2@birkhall.example.\n…");
    }

    @Test
    void anEditedCopyKeepsHowItWasSentAndNoOtherWays() {
        ReadMessage copy = Mails.read(new EditedCopy(
                        "Person 1 <person1@birkhall.example>",
                        "visits@ostrel-gardens.example",
                        "Fotoerlaubnis für Mai",
                        "Dürfen wir?")
                .of(MESSAGE)
                .all());
        assertThat(copy.sentBy()).contains(SentBy.LIST);
        assertThat(copy.sender())
                .contains(MailAddress.of("person1@birkhall.example").named("Person 1"));
        assertThat(copy.subject()).isEqualTo("Fotoerlaubnis für Mai");
        assertThat(copy.texts().get(0).strip()).isEqualTo("Dürfen wir?");
        assertThat(copy.has("Received")).isFalse();
    }
}
