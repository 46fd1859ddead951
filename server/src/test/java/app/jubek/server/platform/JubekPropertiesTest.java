package app.jubek.server.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.boot.context.properties.bind.BindException;
import org.springframework.boot.context.properties.bind.Binder;
import org.springframework.boot.context.properties.source.MapConfigurationPropertySource;

class JubekPropertiesTest {
    private static final String VISITS = "jubek.mailbox.";
    private static final String SEEDS = "jubek.other-mailboxes.seeds.";

    private static Map<String, String> settings() {
        Map<String, String> settings = new HashMap<>(Map.of(
                VISITS + "address", "visits@ostrel-gardens.example",
                VISITS + "name", "Visits desk",
                VISITS + "addresses", "visits@ostrel-gardens.example,photos@ostrel-gardens.example",
                VISITS + "domains", "ostrel-gardens.example",
                VISITS + "zone", "Europe/Stockholm",
                VISITS + "user", "visits",
                VISITS + "password", "hornbeam"));
        settings.putAll(Map.of(
                VISITS + "imap-host", "imap.ostrel-gardens.example",
                VISITS + "imap-port", "993",
                VISITS + "smtp-host", "smtp.ostrel-gardens.example",
                VISITS + "smtp-port", "465",
                SEEDS + "address", "seeds@ostrel-gardens.example",
                SEEDS + "name", "Seed exchange",
                SEEDS + "password", "larch",
                SEEDS + "opening", "saturday 10:00-13:00"));
        return settings;
    }

    private static JubekProperties read(Map<String, String> settings) {
        return new Binder(new MapConfigurationPropertySource(settings))
                .bind("jubek", JubekProperties.class)
                .get();
    }

    @Test
    void whatAFurtherMailboxLeavesOutIsAsForTheFirstOne() {
        List<JubekProperties.MailboxSettings> mailboxes = read(settings()).mailboxes();
        JubekProperties.MailboxSettings seeds = mailboxes.get(1);
        assertThat(mailboxes.get(0).user()).isEqualTo("visits");
        assertThat(seeds.user()).isEqualTo("seeds@ostrel-gardens.example");
        assertThat(seeds.addresses()).containsExactly("seeds@ostrel-gardens.example");
        assertThat(seeds.imapHost()).isEqualTo("imap.ostrel-gardens.example");
        assertThat(seeds.smtpPort()).isEqualTo(465);
        assertThat(seeds.opening().orElseThrow()).containsExactly("saturday 10:00-13:00");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "jubek.mailbox.password | | is missing",
                "jubek.mailbox.zone | Europe/Stokholm | \"Europe/Stokholm\" is no time zone: write it like",
                "jubek.mailbox.imap-port | 70000 | 70000 is no port",
                "jubek.mailbox.addresses | visits | \"visits\" is not a mail address",
                "jubek.web.public-address | http://jubek.example | http://jubek.example is no address such as https://",
                "jubek.web.public-address | https://jubek.example/mail | is no address such as https://",
                "jubek.other-mailboxes.seeds.address | | is missing",
                "jubek.other-mailboxes.seeds.opening | weekends | \"weekends\" is no span of opening hours"
            })
    void aSettingThatIsMissingOrUnusableIsNamedWithTheWayOut(String setting, String value, String said) {
        Map<String, String> settings = settings();
        settings.put(setting, value == null ? "" : value);
        assertThatThrownBy(() -> read(settings))
                .isInstanceOf(BindException.class)
                .satisfies(failed -> assertThat(SettingFault.behind(failed).orElseThrow())
                        .hasMessageContainingAll("The setting " + setting, said, "docs/configuration.md"));
    }
}
