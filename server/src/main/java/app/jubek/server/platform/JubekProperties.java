package app.jubek.server.platform;

import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.util.unit.DataSize;

/**
 * Everything that can be set; described for people in {@code docs/configuration.md}.
 *
 * @param dataDir holds the installation's keys
 * @param pollInterval how often a watched folder is asked even when nothing was announced
 * @param reconnectAfter pauses before connecting again; the last one repeats
 * @param retryAfter pauses before a step is tried again; after the last one it has failed
 * @param lease how long what a node has taken in hand stays its own without a sign of life
 * @param keepMail how long octets and evidence are kept
 * @param upkeepInterval how often old mail is cleared away and mail removed at the server leaves the evidence
 * @param evidenceMemory how much memory past mail of all mailboxes may take; half of it each
 * @param largestMessage larger messages are set aside unread
 */
@ConfigurationProperties("jubek")
public record JubekProperties(
        Path dataDir,
        Duration pollInterval,
        List<Duration> reconnectAfter,
        List<Duration> retryAfter,
        Duration lease,
        Duration keepMail,
        Duration upkeepInterval,
        DataSize evidenceMemory,
        DataSize largestMessage,
        @Nullable FirstMailbox mailbox,
        @Nullable FirstAccount account,
        @Nullable Demo demo) {

    public Optional<FirstMailbox> firstMailbox() {
        return Optional.ofNullable(mailbox);
    }

    public Optional<FirstAccount> firstAccount() {
        return Optional.ofNullable(account);
    }

    public Optional<Demo> simulated() {
        return Optional.ofNullable(demo);
    }

    /** The mailbox that is watched. Host names other than loopback need TLS. */
    public record FirstMailbox(
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
            Optional<List<String>> opening) {}

    /** The first account; made when there is none yet. */
    public record FirstAccount(String signIn, String name, Optional<String> password) {}

    /** Only in the demo: where the post office takes commands, and the rules and people to begin with. */
    public record Demo(
            String postOffice, Path ruleBook, @Nullable Path cards) {
        public Optional<Path> people() {
            return Optional.ofNullable(cards);
        }
    }
}
