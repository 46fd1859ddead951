package app.jubek.core.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.jubek.core.Mails;
import app.jubek.core.address.Domains;
import app.jubek.core.address.MailAddress;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class AddressesTest {
    @ParameterizedTest
    @ValueSource(
            strings = {
                "nobody",
                "@x.example",
                "a@",
                "a b@x.example",
                "a@x..example",
                "a@x.example\r\nBcc: b@y.example",
                "<a@x.example>"
            })
    void whatIsNoAddressIsRefusedWithAnExample(String written) {
        assertThatThrownBy(() -> MailAddress.of(written))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("write it like");
    }

    @Test
    void letterCaseOfAnAddressDoesNotMatterAndItsNameNeverDoes() {
        MailAddress typed = MailAddress.of(" Office@Birkhall-School.example ");
        assertThat(typed.sameAs(MailAddress.of("office@birkhall-school.EXAMPLE").named("The office")))
                .isTrue();
        assertThat(typed.address()).isEqualTo("Office@birkhall-school.example");
    }

    /** RFC 5233 §4: the part before "+" is the user. */
    @Test
    void theDetailAfterPlusIsNoPartOfTheUser() {
        assertThat(MailAddress.of("ken+sieve@example.org").user()).isEqualTo("ken");
        assertThat(MailAddress.of("+x@example.org").user()).isEqualTo("+x");
    }

    /** UTS 46, non-transitional: ß stays itself. */
    @ParameterizedTest
    @CsvSource({
        "Bücher.example, xn--bcher-kva.example",
        "straße.example, xn--strae-oqa.example",
        "EXAMPLE.COM., example.com",
        "a_b.example, a_b.example"
    })
    void domainsAreComparedAsTheirAsciiForm(String written, String ascii) {
        assertThat(Domains.toAscii(written)).isEqualTo(ascii);
    }

    @ParameterizedTest
    @CsvSource({
        "school.example, school.example, true",
        "junior.school.example, school.example, true",
        "preschool.example, school.example, false",
        "example, school.example, false"
    })
    void aSubdomainLiesBelowItsDomainAndANeighbourDoesNot(String domain, String above, boolean below) {
        assertThat(Domains.isAtOrBelow(domain, above)).isEqualTo(below);
    }

    @Test
    void ourSideIsEveryAddressOfTheMailboxAndItsOwnDomainsWithTheirSubdomains() {
        assertThat(Mails.VISITS.isOwn(MailAddress.of("Photos+shop@ostrel-gardens.example")))
                .isTrue();
        assertThat(Mails.VISITS.isOwn(MailAddress.of("tomas@ostrel-gardens.example")))
                .isFalse();
        assertThat(Mails.VISITS.isInside(MailAddress.of("noor@volunteers.ostrel-gardens.example")))
                .isTrue();
        assertThat(Mails.VISITS.isInside(MailAddress.of("x@not-ostrel-gardens.example")))
                .isFalse();
    }

    private static Person person(String id, String name, String... addresses) {
        return new Person(
                id, name, Arrays.stream(addresses).map(MailAddress::of).toList(), "", "", "");
    }

    /** Common practice; the people are invented. */
    @Test
    void entriesThatShareAnAddressOrAWholeNameAreTakenForOnePerson() {
        Person mara = person("1", "Mara Lindqvist", "mara@mailhaven.example");
        Person accented = person("2", "MÁRA LINDQVIST", "mara@school.example");
        Person byAddress = person("3", "", "Mara@school.example", "m.l@mailhaven.example");
        Person first = person("4", "Mara", "other@mailhaven.example");
        Person second = person("5", "Mara", "another@mailhaven.example");
        assertThat(Duplicates.in(List.of(mara, first, byAddress, second, accented)))
                .singleElement()
                .satisfies(same -> assertThat(same).containsExactlyInAnyOrder(mara, accented, byAddress));
        assertThat(byAddress.with(accented).addresses()).hasSize(2);
        assertThat(byAddress.with(accented).name()).isEqualTo("MÁRA LINDQVIST");
    }
}
