package app.jubek.core.message;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.Mails;
import java.util.Arrays;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** RFC 8601 Appendix B, its examples. */
class AuthenticationResultsTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "B.2 | example.org 1; none | example.org |",
                "B.3 | example.com; spf=pass smtp.mailfrom=example.net | example.com | spf",
                "B.4 | example.com; auth=pass (cram-md5) smtp.auth=sender@example.net; spf=pass smtp.mailfrom=example.net"
                        + " | example.com | auth,spf",
                "B.4 | example.com; iprev=pass policy.iprev=192.0.2.200 | example.com | iprev",
                "B.5 | example.com; auth=pass (cram-md5) smtp.auth=sender@example.com; spf=fail smtp.mailfrom=example.com"
                        + " | example.com | auth",
                "B.6 | example.com; dkim=pass reason=\"good signature\" header.i=@mail-router.example.net; dkim=fail"
                        + " reason=\"bad signature\" header.i=@newyork.example.com | example.com | dkim",
                "B.7 | foo.example.net (foobar) 1 (baz); dkim (Because I like it) / 1 (One yay) = (wait for it) fail"
                        + " policy (A dot can go here) . (like that) expired (this surprised me) = (as I wasn't"
                        + " expecting it) 1362471462 | foo.example.net |",
                "B.7, had it passed | foo.example.net (foobar) 1 (baz); dkim (Because I like it) / 1 (One yay) = (wait"
                        + " for it) pass | foo.example.net | dkim",
                "2.2, a reason that reads like a result | example.com; spf=fail reason=\"x; dkim=pass\" | example.com |",
                "2.2, letter case does not matter | Example.COM; DKIM=PASS header.d=x | example.com | dkim"
            })
    void theServerAndWhatPassedAreRead(String example, String value, String server, String passed) {
        AuthenticationResults read = AuthenticationResults.read(value).orElseThrow();
        Set<String> expected = passed == null ? Set.of() : new TreeSet<>(Arrays.asList(passed.split(",")));
        assertThat(read.server()).as(example).isEqualTo(server);
        assertThat(new TreeSet<>(read.passed())).as(example).isEqualTo(expected);
    }

    /** B.5 and §5: a field further down may have been written by anybody. */
    @Test
    void onlyWhatTheLastServersWroteIsRead() {
        String mail = "Authentication-Results: example.com; dkim=pass header.d=example.com\r\n"
                + "Received: from mail-router.example.com by auth-checker.example.com\r\n"
                + "Authentication-Results: example.com; spf=fail smtp.mailfrom=example.com\r\n"
                + "Received: from dialup-1-2-3-4.example.net by mail-router.example.com\r\n"
                + "Authentication-Results: example.com; spf=pass smtp.mailfrom=example.com\r\n"
                + "From: sender@example.com\r\n\r\nhello";
        assertThat(AuthenticationResults.of(Mails.read(mail)))
                .hasSize(2)
                .noneMatch(results -> results.passes("spf"))
                .anyMatch(results -> results.passes("dkim"));
        assertThat(AuthenticationResults.read("spf=pass")).as("no server named").isEmpty();
    }
}
