package app.jubek.server.platform;

import java.net.URI;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;
import org.springframework.util.unit.DataSize;

/**
 * Everything that can be set; described for people in {@code docs/configuration.md}.
 *
 * @param dataDir holds the installation's keys
 * @param pollInterval how often a watched folder is asked even when nothing was announced
 * @param reconnectAfter pauses before connecting again; the last one repeats
 * @param retryAfter pauses before a step is tried again; after the last one it has failed
 * @param lease how long what a node has claimed stays its own without a sign of life
 * @param keepMail how long bytes and evidence are kept
 * @param keepRecords how long it is known what was done
 * @param upkeepInterval how often old mail is cleared away and mail removed at the server leaves the evidence
 * @param evidenceMemory how much memory past mail of all mailboxes may take; half of it each
 * @param largestMessage larger messages are set aside unread
 * @param calendarFolder from which calendars of closed days may be read again every day; unset for none
 * @param web how the page is reached
 * @param composing the service that writes drafts of replies
 * @param otherMailboxes by a word of the installation's own
 * @param testSenders by such a word, too
 */
@ConfigurationProperties("jubek")
public record JubekProperties(
        Path dataDir,
        Duration pollInterval,
        List<Duration> reconnectAfter,
        List<Duration> retryAfter,
        Duration lease,
        Duration keepMail,
        Duration keepRecords,
        Duration upkeepInterval,
        DataSize evidenceMemory,
        DataSize largestMessage,
        @Nullable Path calendarFolder,
        @DefaultValue Web web,
        @DefaultValue Composing composing,
        @Nullable MailboxSettings mailbox,
        Map<String, OtherMailbox> otherMailboxes,
        Map<String, TestSender> testSenders,
        @Nullable FirstAccount account) {

    public JubekProperties {
        otherMailboxes = Optional.ofNullable(otherMailboxes)
                .map(others -> Collections.unmodifiableMap(new TreeMap<>(others)))
                .orElse(Map.of());
        testSenders = Optional.ofNullable(testSenders).map(Map::copyOf).orElse(Map.of());
        testSenders.forEach((word, sender) -> SettingsCheck.testSender("jubek.test-senders." + word, sender));
        if (mailbox != null) {
            MailboxSettings first = mailbox;
            SettingsCheck.mailbox("jubek.mailbox", first);
            otherMailboxes.forEach(
                    (word, other) -> SettingsCheck.mailbox("jubek.other-mailboxes." + word, other.beside(first)));
        }
    }

    /** The mailboxes that are watched: the first one, then the others in the order of their words. */
    public List<MailboxSettings> mailboxes() {
        return Optional.ofNullable(mailbox)
                .map(first -> Stream.concat(
                                Stream.of(first),
                                otherMailboxes.values().stream().map(other -> other.beside(first)))
                        .toList())
                .orElse(List.of());
    }

    public Optional<Path> calendars() {
        return Optional.ofNullable(calendarFolder);
    }

    public Optional<FirstAccount> firstAccount() {
        return Optional.ofNullable(account);
    }

    /**
     * How the page is reached.
     *
     * @param trustedProxies addresses whose forwarded headers count
     * @param allowPlainHttp whether it may be reached from other machines without TLS
     * @param publicAddress where people outside reach the page, such as https://jubek.example; unset when they can't
     * @param sessionLife after which one has to sign in again, however busy one was
     */
    public record Web(
            @DefaultValue List<String> trustedProxies,
            @DefaultValue("false") boolean allowPlainHttp,
            @Nullable URI publicAddress,
            @DefaultValue("7d") Duration sessionLife) {
        public Web {
            if (publicAddress != null) {
                SettingsCheck.publicAddress(publicAddress);
            }
            trustedProxies = List.copyOf(trustedProxies);
        }

        /** A page that people outside reach; empty where they reach none. */
        public Optional<String> publicPage(String path) {
            return Optional.ofNullable(publicAddress).map(at -> at.resolve(path).toString());
        }
    }

    /**
     * A composing service.
     *
     * @param url where it is asked; unset while there is none
     * @param token what it knows us by (RFC 6750 §2.1)
     * @param timeout how long it may take for one draft
     * @param allowInnerNetwork whether its address may lie in the inner network
     */
    public record Composing(
            @Nullable URI url,
            @DefaultValue("") String token,
            @DefaultValue("20s") Duration timeout,
            @DefaultValue("false") boolean allowInnerNetwork) {
        public Composing {
            if (url != null) {
                SettingsCheck.composing(url);
            }
        }

        public Optional<URI> service() {
            return Optional.ofNullable(url);
        }
    }

    /** A mailbox that is watched. Host names other than loopback need TLS. */
    public record MailboxSettings(
            String address,
            String name,
            List<String> addresses,
            List<String> domains,
            String zone,
            String imapHost,
            int imapPort,
            String smtpHost,
            int smtpPort,
            String user,
            String password,
            Optional<Integer> hourlyLimit,
            Optional<Integer> ruleLimit,
            Optional<Integer> destinationLimit,
            Optional<Integer> senderLimit,
            Optional<List<String>> opening) {}

    /** A further mailbox; what is left out is as for the first one. */
    public record OtherMailbox(
            String address,
            String name,
            @Nullable List<String> addresses,
            @Nullable List<String> domains,
            @Nullable String zone,
            @Nullable String imapHost,
            @Nullable Integer imapPort,
            @Nullable String smtpHost,
            @Nullable Integer smtpPort,
            @Nullable String user,
            String password,
            Optional<Integer> hourlyLimit,
            Optional<Integer> ruleLimit,
            Optional<Integer> destinationLimit,
            Optional<Integer> senderLimit,
            Optional<List<String>> opening) {

        MailboxSettings beside(MailboxSettings first) {
            return new MailboxSettings(
                    address,
                    name,
                    or(addresses, Stream.ofNullable(address).toList()),
                    or(domains, first.domains()),
                    or(zone, first.zone()),
                    or(imapHost, first.imapHost()),
                    or(imapPort, first.imapPort()),
                    or(smtpHost, first.smtpHost()),
                    or(smtpPort, first.smtpPort()),
                    or(user, address),
                    password,
                    hourlyLimit.or(first::hourlyLimit),
                    ruleLimit.or(first::ruleLimit),
                    destinationLimit.or(first::destinationLimit),
                    senderLimit.or(first::senderLimit),
                    opening.or(first::opening));
        }

        private static <T> T or(@Nullable T own, T first) {
            return own == null ? first : own;
        }
    }

    /**
     * Where real tests are sent from, beside the other mailboxes. Host names other than loopback need TLS.
     *
     * @param addresses that the server lets it write as; {@code *} for any, of a simulated server on this machine
     */
    public record TestSender(List<String> addresses, String smtpHost, int smtpPort, String user, String password) {
        public static final String ANY = "*";

        public boolean writesAsAny() {
            return addresses.contains(ANY);
        }
    }

    /** The first account; made when there is none yet. */
    public record FirstAccount(String signIn, String name, Optional<String> password) {}
}
