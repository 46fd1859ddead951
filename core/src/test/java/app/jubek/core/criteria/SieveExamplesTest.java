package app.jubek.core.criteria;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.Mails;
import app.jubek.core.message.ReadMessage;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Messages A and B of RFC 5228 §1.2, and tests of its sections that our criteria can say. */
class SieveExamplesTest {
    private static final ReadMessage A = Mails.read("""
            Date: Tue, 1 Apr 1997 09:06:31 -0800 (PST)
            From: coyote@desert.example.org
            To: roadrunner@acme.example.com
            Subject: I have a present for you

            Look, I'm sorry about the whole anvil thing, and I really
            didn't mean to try and drop it on you from the top of the
            cliff.
            """.replace("\n", "\r\n"));
    private static final ReadMessage B = Mails.read("""
            From: youcouldberich!@reply-by-postal-mail.invalid
            Sender: b1ff@de.res.example.com
            To: rube@landru.example.com
            Date:  Mon, 31 Mar 1997 18:26:10 -0800
            Subject: $$$ YOU, TOO, CAN BE A MILLIONAIRE! $$$

            YOU MAY HAVE ALREADY WON TEN MILLION DOLLARS, BUT I DOUBT
            IT!  SO JUST POST THIS TO SIX HUNDRED NEWSGROUPS!
            """.replace("\n", "\r\n"));

    private static boolean holds(Criterion criterion, ReadMessage message) {
        return criterion.holds(Mails.view(message));
    }

    private static AddressCriterion sender(AddressCriterion.AddressMatch how, String value) {
        return new AddressCriterion(AddressCriterion.AddressField.SENDER, how, List.of(value), false);
    }

    private static TextCriterion subject(String... phrases) {
        return TextCriterion.phrases(MessagePart.Kind.SUBJECT, List.of(phrases));
    }

    /** §3.1: header :contains "From" "coyote". */
    @Test
    void theSenderOfMessageA() {
        assertThat(holds(sender(AddressCriterion.AddressMatch.IS, "COYOTE@desert.example.org"), A))
                .isTrue();
        assertThat(holds(sender(AddressCriterion.AddressMatch.AT_DOMAIN, "desert.example.org"), A))
                .isTrue();
        assertThat(holds(sender(AddressCriterion.AddressMatch.AT_DOMAIN_OR_BELOW, "example.org"), A))
                .isTrue();
        assertThat(holds(sender(AddressCriterion.AddressMatch.IS, "coyote@desert.example.org"), B))
                .isFalse();
    }

    /** §3.1: header :contains "Subject" "$$$"; §2.7.1: contains ignores letter case under i;ascii-casemap. */
    @Test
    void theSubjectOfMessageB() {
        assertThat(holds(subject("$$$"), B)).isTrue();
        assertThat(holds(subject("can be a millionaire"), B)).isTrue();
        assertThat(holds(subject("MAKE MONEY FAST"), B)).isFalse();
        assertThat(holds(subject("$$$"), A)).isFalse();
    }

    /** §5.3 anyof, §5.2 allof, §5.8 not. */
    @Test
    void groupsAreAnyofAllofAndNot() {
        Criterion fromA = sender(AddressCriterion.AddressMatch.AT_DOMAIN_OR_BELOW, "example.org");
        Criterion money = subject("$$$");
        assertThat(holds(new Group(Group.Quantifier.ANY, List.of(fromA, money)), A))
                .isTrue();
        assertThat(holds(new Group(Group.Quantifier.ANY, List.of(fromA, money)), B))
                .isTrue();
        assertThat(holds(new Group(Group.Quantifier.ALL, List.of(fromA, money)), A))
                .isFalse();
        assertThat(holds(new Group(Group.Quantifier.NONE, List.of(money)), A)).isTrue();
        assertThat(holds(new Group(Group.Quantifier.NONE, List.of(fromA, money)), B))
                .isFalse();
    }

    /** §2.7.1: "in the text" of RFC 5173 §5.2 is the body as its reader sees it. */
    @Test
    void wordsOfTheTextAreFoundOverLineEnds() {
        TextCriterion text =
                TextCriterion.phrases(MessagePart.Kind.TEXT, List.of("drop it on you from the top of the cliff"));
        assertThat(holds(text, A)).isTrue();
        assertThat(holds(text, B)).isFalse();
    }
}
