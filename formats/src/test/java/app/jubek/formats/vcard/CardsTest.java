package app.jubek.formats.vcard;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.address.MailAddress;
import app.jubek.core.people.PeopleGroup;
import app.jubek.core.people.Person;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

class CardsTest {
    private static Cards read(String text) {
        AtomicInteger next = new AtomicInteger();
        return Cards.read(text.replace("\n", "\r\n"), () -> "id" + next.incrementAndGet());
    }

    /** RFC 6350 §8, the fields that concern us of its card. */
    @Test
    void theCardOfTheStandardIsRead() {
        assertThat(read("""
                                BEGIN:VCARD
                                VERSION:4.0
                                FN:Simon Perreault
                                N:Perreault;Simon;;;ing. jr,M.Sc.
                                ORG;TYPE=work:Viagenie
                                TEL;VALUE=uri;TYPE="work,voice";PREF=1:tel:+1-418-656-9254;ext=102
                                TEL;VALUE=uri;TYPE="work,cell,voice,video,text":tel:+1-418-262-6501
                                EMAIL;TYPE=work:simon.perreault@viagenie.ca
                                END:VCARD
                                """).people()).singleElement().satisfies(person -> {
            assertThat(person.name()).isEqualTo("Simon Perreault");
            assertThat(person.addresses())
                    .extracting(MailAddress::address)
                    .containsExactly("simon.perreault@viagenie.ca");
            assertThat(person.organisation()).isEqualTo("Viagenie");
            assertThat(person.phone()).isEqualTo("+1-418-656-9254");
        });
    }

    /** RFC 6350 §6.6.5. */
    @Test
    void aGroupNamesItsMembersByTheirCardsOrByAddress() {
        Cards cards = read("""
                BEGIN:VCARD
                VERSION:4.0
                KIND:group
                FN:Guides
                MEMBER:urn:uuid:03a0e51f-d1aa-4385-8a53-e29025acd8af
                MEMBER:mailto:tom@ostrel-gardens.example
                END:VCARD
                BEGIN:VCARD
                VERSION:4.0
                FN:Noor
                UID:urn:uuid:03a0e51f-d1aa-4385-8a53-e29025acd8af
                EMAIL;PREF=2:noor@home.example
                EMAIL;PREF=1:noor@ostrel-gardens.example
                END:VCARD
                """);
        assertThat(cards.groups().get(0).members())
                .extracting(MailAddress::address)
                .containsExactly("noor@ostrel-gardens.example", "tom@ostrel-gardens.example");
    }

    @Test
    void whatIsNoCardOrHasNoAddressIsSaid() {
        assertThat(read("hello").notTaken()).singleElement().asString().contains("BEGIN:VCARD");
        assertThat(read("BEGIN:VCARD\nVERSION:3.0\nN:Berg;Anna\nFN:Anna Berg\nEMAIL:nowhere\nEND:VCARD\n")
                        .notTaken())
                .containsExactly("“Anna Berg” has no mail address");
    }

    @Test
    void whatIsWrittenIsReadAgainAsItWas() {
        Person noor = new Person(
                "03a0e51f-d1aa-4385-8a53-e29025acd8af",
                "Noor; of, the\\ Gardens ü",
                List.of(MailAddress.of("noor@ostrel-gardens.example"), MailAddress.of("noor@home.example")),
                "Ostrel Gardens",
                "+46 8 123",
                "two\nlines");
        PeopleGroup guides =
                new PeopleGroup("2", "Guides", List.of(noor.addresses().get(0)));
        Cards again = Cards.read(Cards.write(List.of(noor), List.of(guides)), () -> noor.id());
        assertThat(again.notTaken()).isEmpty();
        assertThat(again.people()).containsExactly(noor);
        assertThat(again.groups().get(0).members()).isEqualTo(guides.members());
    }
}
