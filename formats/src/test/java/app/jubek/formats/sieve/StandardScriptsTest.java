package app.jubek.formats.sieve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import app.jubek.core.address.MailAddress;
import app.jubek.core.step.Step;
import app.jubek.formats.sieve.syntax.SieveSyntaxException;
import java.time.Duration;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Worked examples of the standards, and what their texts ask for; the section stands beside each. */
class StandardScriptsTest {
    /** Messages A and B of RFC 5228 §1.2. */
    private static final String A = """
            Date: Tue, 1 Apr 1997 09:06:31 -0800 (PST)
            From: coyote@desert.example.org
            To: roadrunner@acme.example.com
            Subject: I have a present for you

            Look, I'm sorry about the whole anvil thing, and I really
            didn't mean to try and drop it on you from the top of the
            cliff.
            """;

    private static final String B = """
            From: youcouldberich!@reply-by-postal-mail.invalid
            Sender: b1ff@de.res.example.com
            To: rube@landru.example.com
            Date:  Mon, 31 Mar 1997 18:26:10 -0800
            Subject: $$$ YOU, TOO, CAN BE A MILLIONAIRE! $$$

            YOU MAY HAVE ALREADY WON TEN MILLION DOLLARS, BUT I DOUBT
            IT!  SO JUST POST THIS TO SIX HUNDRED NEWSGROUPS!
            """;

    private static final String RICH = """
            Return-Path: <ken+sieve@example.org>
            Delivered-To: me+lists@example.com
            Received: from a by b; Thu, 26 Nov 2026 09:00:00 +0000
            From: Ken <ken+sieve@example.org>
            To: one@example.com, two@example.com
            Cc: three@example.com
            X-Score: 6
            X-Note: a*b
            Subject: gr\u00fcn and blue
            Content-Type: text/plain; charset=utf-8

            Caf\u00e9 at noon, MAKE MONEY FAST.
            """;

    private static String mail(String name) {
        return switch (name) {
            case "A" -> A;
            case "B" -> B;
            default -> RICH;
        };
    }

    private static boolean holds(String test, String mail) {
        return Deciding.outcome("if " + test.replace('\'', '"') + " { fileinto \"hit\"; }", mail(mail))
                .contains("filed in hit");
    }

    /** RFC 5228 §9: the whole extended example, tags in upper case. */
    @ParameterizedTest
    @CsvSource({
        "owner-ietf-mta-filters@imc.org, a@x.example, b@y.example, x, filed in filter",
        "a@x.example, jack@example.com, b@y.example, x, inbox",
        "a@x.example, jack@y.example, me@elsewhere.example, x, filed in spam",
        "a@x.example, jack@y.example, me@example.com.example, Make your money fast, filed in spam",
        "a@x.example, jack@y.example, x@me@example.com, hello, filed in personal"
    })
    void theExtendedExample(String sender, String from, String cc, String subject, String outcome) {
        String script = """
                require ["fileinto"];
                if header :is "Sender" "owner-ietf-mta-filters@imc.org" { fileinto "filter"; }
                elsif address :DOMAIN :is ["From", "To"] "example.com" { keep; }
                elsif anyof (NOT address :all :contains ["To", "Cc", "Bcc"] "me@example.com",
                      header :matches "subject" ["*make*money*fast*", "*university*dipl*mas*"])
                { fileinto "spam"; }
                else { fileinto "personal"; }
                """;
        String mail = "Sender: " + sender + "\nFrom: " + from + "\nTo: z@z.example\nCc: " + cc + "\nSubject: " + subject
                + "\n\nx\n";
        assertThat(Deciding.outcome(script, mail)).containsExactly(outcome);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                // RFC 5228 §2.7.1: match types; §2.7.3: the preset comparator ignores case of ASCII letters
                "header :contains 'subject' '$$$' | B | true",
                "header :contains 'Subject' 'MAKE MONEY FAST' | B | false",
                "header :contains 'subject' 'a PRESENT' | A | true",
                "header :comparator 'i;octet' :contains 'subject' 'a PRESENT' | A | false",
                "header :is ['subject'] ['x', 'i have a present for you'] | A | true",
                "header :matches 'subject' 'I have * for ???' | A | true",
                "header :matches 'subject' 'have*' | A | false",
                "header :matches 'x-note' 'a\\\\*b' | R | true",
                "header :matches 'x-note' 'a\\\\?b' | R | false",
                // §2.7.4: parts of addresses
                "address :localpart 'from' 'coyote' | A | true",
                "address :domain 'from' 'desert.example.org' | A | true",
                "address :all :is 'from' 'COYOTE@desert.example.org' | A | true",
                // §5.1, 5.4, 5.5, 5.9
                "address :is :all 'from' 'tim@example.com' | A | false",
                "envelope :all :is 'from' 'ken+sieve@example.org' | R | true",
                "exists ['From','Date'] | A | true",
                "exists ['From','X-Caffeine'] | A | false",
                "not exists ['From','Date'] | A | false",
                "size :over 100K | A | false",
                "size :under 1M | A | true",
                // §5.2, 5.3, 5.6, 5.8, 5.10
                "allof (true, not false) | A | true",
                "anyof (false, header :contains 'from' 'coyote') | A | true",
                // §2.4.2.4 needs a require, see below; §5.7: the empty key is in every field there is
                "header :contains 'subject' '' | A | true",
                "header :contains 'x-absent' '' | A | false",
                // RFC 5231 §4.2, 7: count and value
                "address :count 'ge' :comparator 'i;ascii-numeric' ['to','cc'] '3' | R | true",
                "address :count 'gt' :comparator 'i;ascii-numeric' ['to','cc'] '3' | R | false",
                "header :value 'ge' :comparator 'i;ascii-numeric' 'x-score' '5' | R | true",
                "header :value 'lt' :comparator 'i;ascii-numeric' 'x-score' '10' | R | true",
                "header :value 'lt' 'x-score' '10' | R | false",
                // RFC 5233 §4: ken+sieve@example.org is user ken with detail sieve
                "address :user 'from' 'ken' | R | true",
                "address :detail 'from' 'sieve' | R | true",
                "address :detail 'to' 'sieve' | R | false",
                "envelope :detail 'to' 'lists' | R | true",
                // RFC 5173 §5.2 (:text), §6
                "body :text :contains 'money fast' | R | true",
                "body :contains 'MONEY FAST' | R | true",
                "body :text :contains 'money slowly' | R | false",
                // RFC 5260 §4.1, 5, 9; 26 November 2026 is a Thursday
                "date :is 'received' 'weekday' '4' | R | true",
                "date :value 'ge' 'received' 'hour' '09' | R | true",
                "date :is :zone '+0200' 'received' 'hour' '11' | R | true",
                "date :is :originalzone 'date' 'hour' '09' | A | true",
                "date :is :zone '+0000' 'date' 'hour' '17' | A | true",
                "date :is :originalzone 'date' 'zone' '-0800' | B | true",
                "currentdate :value 'ge' 'date' '2026-11-26' | R | true",
                "currentdate :zone '+0000' :is 'julian' '61370' | R | true",
                // the regex draft
                "header :regex 'subject' '^gr.n +and blue$' | R | true",
                "header :regex 'subject' 'gr[ae]n' | R | false"
            })
    void testsHoldAsTheStandardsSay(String test, String mail, boolean expected) {
        assertThat(holds(test, mail)).as(test).isEqualTo(expected);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                // RFC 5228 §2.10.2, 4.1-4.4: what keeps and what cancels the implicit keep
                "'' | inbox",
                "'discard;' | ''",
                "'discard; keep;' | inbox",
                "'redirect \"bart@example.edu\";' | redirected to bart@example.edu",
                "'redirect :copy \"bart@example.edu\";' | inbox, redirected to bart@example.edu",
                "'fileinto \"INBOX.harassment\";' | filed in INBOX.harassment",
                "'fileinto :copy \"x\";' | filed in x, inbox",
                "'fileinto \"a\"; fileinto \"b\"; fileinto \"a\";' | filed in a, filed in b",
                "'fileinto \"INBOX\";' | inbox",
                "'fileinto \"a\"; keep;' | filed in a, inbox",
                "'redirect \"a@x.example\"; redirect \"A@x.example\";' | redirected to a@x.example",
                // §3.3: stop
                "'stop; discard;' | inbox",
                "'if true { fileinto \"a\"; if true { stop; } } discard;' | filed in a",
                "'if false { discard; } elsif true { keep; } else { fileinto \"x\"; }' | inbox",
                // RFC 5232 §3.1, 3.3, 5
                "'addflag \"\\\\Seen \\\\Flagged\"; fileinto \"a\";' | filed in a, marked read and flagged",
                "'addflag \"a\"; setflag \"b\";' | inbox, tagged “a”, tagged “b” and no longer tagged “a”",
                // RFC 5230 §4, 6131 §3: answering keeps
                "'vacation :days 3 \"away\";' | answered, inbox",
                "'vacation :seconds 86400 \"away\";' | answered, inbox",
                // RFC 5490 §3.2, 8579 §4
                "'fileinto :create \"new\";' | filed in new",
                "'fileinto :specialuse \"\\\\Trash\" \"Trash\";' | moved to the trash"
            })
    void actionsDoAsTheStandardsSay(String script, String outcome) {
        Set<String> expected = new TreeSet<>(outcome.isEmpty() ? List.of() : List.of(outcome.split(", ")));
        assertThat(Deciding.outcome(script, A)).isEqualTo(expected);
    }

    /** RFC 5228 §2.4.2.4, §8.1: encoded characters, texts of several lines with their dots, both kinds of comment. */
    @Test
    void stringsAndCommentsOfAllKinds() {
        String script = """
                require ["encoded-character", "vacation"]; # a comment
                /* and another
                   one */
                if header :contains "subject" "${hex: 24 24}${unicode:0024}" {
                  vacation text: # why
                ..dot
                end
                .
                ;
                }
                """;
        SieveReading.Read read = SieveReading.read(script);
        assertThat(read.notCarried()).isEmpty();
        assertThat(Deciding.outcome(read.book(), B)).contains("answered");
        assertThat(read.book().rules().get(0).steps().get(0))
                .isEqualTo(new Step.Reply("", ".dot\r\nend\r\n", Duration.ofDays(7)));
    }

    /** RFC 5230 §4.5: mail to one of further addresses is answered, too. */
    @Test
    void furtherOwnAddressesAreCarriedBothWays() {
        String script = "require \"vacation\";\r\nvacation :addresses [\"tours@a.example\"] \"away\";\r\n";
        SieveReading.Read read = SieveReading.read(script);
        assertThat(read.notCarried()).isEmpty();
        Step.Reply reply = (Step.Reply) read.book().rules().get(0).steps().get(0);
        assertThat(reply.options().aliases()).containsExactly(MailAddress.of("tours@a.example"));
        SieveWriting.Written written = SieveWriting.write(read.book(), ServerClock.unknown());
        assertThat(written.notCarried()).isEmpty();
        assertThat(written.script()).contains("vacation :days 7 :addresses \"tours@a.example\" \"away\";");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "'if true { keep; ' | 1:17 | a command is wanted here, not the end",
                "'keep' | 1:5 | \";\" is wanted here, not the end",
                "'if header \"a\" { keep; }' | 1:4 | a list of keys is missing",
                "'redirect \"unfinished' | 1:10 | a string begins here and does not end",
                "'keep; %' | 1:7 | \"%\" can't stand here",
                "'if size :over 99999999999999999999 { keep; }' | 1:15 | the number is too large"
            })
    void whatIsNoScriptIsSaidWithItsPlace(String script, String place, String cause) {
        SieveSyntaxException wrong = catchThrowableOfType(SieveSyntaxException.class, () -> SieveReading.read(script));
        assertThat(wrong.place().line() + ":" + wrong.place().column()).isEqualTo(place);
        assertThat(wrong).hasMessage(cause);
    }

    @Test
    void whatCantBeCarriedIsListedWithItsPlace() {
        String script = """
                require ["variables", "fileinto"];
                set "x" "y";
                if hasflag "a" { discard; } elsif true { fileinto "b"; }
                keep :flags "\\\\Seen";
                if body :raw :contains "x" { discard; }
                """;
        assertThat(SieveReading.read(script).notCarried())
                .extracting(NotCarried::toString)
                .containsExactly(
                        "line 1, column 1: the extension \"variables\" is not carried",
                        "line 2, column 1: the command \"set\" is not known here and is left out",
                        "line 3, column 4: left out with its actions: the test \"hasflag\" is not known here",
                        "line 3, column 29: \"elsif\" is left out, as what stands before it is",
                        "line 4, column 1: flags of this copy alone (:flags): set on the message",
                        "line 5, column 4: left out with its actions: of a body only its text (:text) can be looked at");
    }

    /** A branch nested deeper than anybody writes is refused, and does not overflow. */
    @Test
    void nestingIsLimited() {
        String script = "if true {".repeat(5_000) + "}".repeat(5_000);
        assertThat(catchThrowableOfType(SieveSyntaxException.class, () -> SieveReading.read(script)))
                .hasMessageContaining("nested deeper than 64 levels");
    }
}
