package app.jubek.server.platform;

import app.jubek.core.address.MailAddress;
import app.jubek.core.schedule.Opening;
import app.jubek.server.platform.JubekProperties.MailboxSettings;
import java.net.URI;
import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Looks the settings of a mailbox over before anything begins with them. */
final class SettingsCheck {
    private static final int LAST_PORT = 65_535;
    private static final List<String> LOOPBACK = List.of("127.0.0.1", "localhost");

    private final String prefix;

    private SettingsCheck(String prefix) {
        this.prefix = prefix;
    }

    /**
     * @param prefix of the names of its settings
     * @throws SettingFault for the first that is missing or can't be used
     */
    static void mailbox(String prefix, MailboxSettings settings) {
        SettingsCheck check = new SettingsCheck(prefix + ".");
        check.named("address", settings.address());
        check.named("name", settings.name());
        check.listed("addresses", settings.addresses());
        check.listed("domains", settings.domains());
        check.named("zone", settings.zone());
        check.named("imap-host", settings.imapHost());
        check.port("imap-port", settings.imapPort());
        check.named("smtp-host", settings.smtpHost());
        check.port("smtp-port", settings.smtpPort());
        check.named("user", settings.user());
        check.named("password", settings.password());
        check.usable("address", () -> MailAddress.of(settings.address()));
        check.usable("addresses", () -> settings.addresses().forEach(MailAddress::of));
        ZoneId zone = check.zone(settings.zone());
        settings.opening().ifPresent(spans -> check.usable("opening", () -> Opening.of(zone, spans)));
    }

    /** Only a simulated server lets anybody write as anybody. */
    static void testSender(String prefix, JubekProperties.TestSender sender) {
        SettingsCheck check = new SettingsCheck(prefix + ".");
        check.listed("addresses", sender.addresses());
        check.named("smtp-host", sender.smtpHost());
        check.port("smtp-port", sender.smtpPort());
        check.named("user", sender.user());
        check.named("password", sender.password());
        if (!sender.writesAsAny()) {
            check.usable("addresses", () -> sender.addresses().forEach(MailAddress::of));
        } else if (!LOOPBACK.contains(sender.smtpHost())) {
            throw SettingFault.unusable(
                    prefix + ".addresses", "* stands for any address, which only a server on this machine may allow");
        }
    }

    /** https, except on this machine itself; what is linked must not be read on the way. */
    static void publicAddress(URI address) {
        if (!isSafeOnTheWay(address) || !List.of("", "/").contains(address.getPath())) {
            throw SettingFault.unusable(
                    "jubek.web.public-address", address + " is no address such as https://jubek.example");
        }
    }

    /** The same: messages go there. */
    static void composing(URI address) {
        if (!isSafeOnTheWay(address)) {
            throw SettingFault.unusable(
                    "jubek.composing.url", address + " is no address such as https://composing.example/drafts");
        }
    }

    private static boolean isSafeOnTheWay(URI address) {
        if (address.getHost() == null) {
            return false;
        }
        return "https".equals(address.getScheme())
                || "http".equals(address.getScheme()) && LOOPBACK.contains(address.getHost());
    }

    private void named(String setting, @Nullable String value) {
        if (value == null || value.isBlank()) {
            throw SettingFault.missing(prefix + setting);
        }
    }

    private void listed(String setting, @Nullable List<String> values) {
        if (values == null || values.isEmpty()) {
            throw SettingFault.missing(prefix + setting);
        }
    }

    private void port(String setting, int value) {
        if (value < 1 || value > LAST_PORT) {
            throw SettingFault.unusable(prefix + setting, value + " is no port, which is from 1 to " + LAST_PORT);
        }
    }

    private ZoneId zone(String written) {
        try {
            return ZoneId.of(written);
        } catch (DateTimeException unknown) {
            throw SettingFault.unusable(
                    prefix + "zone", "\"" + written + "\" is no time zone: write it like Europe/Stockholm");
        }
    }

    private void usable(String setting, Runnable use) {
        try {
            use.run();
        } catch (IllegalArgumentException fault) {
            throw SettingFault.unusable(prefix + setting, String.valueOf(fault.getMessage()));
        }
    }
}
