package app.jubek.core.arrival;

import app.jubek.core.message.AuthenticationResults;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.people.OwnSide;
import app.jubek.core.wording.Statement;
import java.util.List;
import java.util.Set;

/**
 * Whether redirected mail is likely to arrive. A redirect comes from our server in the sender's name: what vouched for
 * the sender's server (SPF) does so no longer, and only a signature in the message (DKIM) still vouches for it
 * (RFC 6376 §1; common practice of receivers).
 *
 * @param signed carry a signature that our server found good, and that a redirect leaves whole
 * @param breaking carry one that a redirect breaks, since it covers fields that a redirect adds
 * @param unsigned carry none that our server found good
 * @param untold came in by a server that does not say (RFC 8601)
 */
public record Arrival(int signed, int breaking, int unsigned, int untold) {
    private static final Set<String> ADDED =
            Set.of("resent-from", "resent-to", "resent-date", "resent-message-id", "resent-sender", "jubek-hops");

    public static Arrival of(List<ReadMessage> messages, OwnSide own) {
        int signed = 0;
        int breaking = 0;
        int unsigned = 0;
        int untold = 0;
        for (ReadMessage message : messages) {
            List<AuthenticationResults> told = AuthenticationResults.of(message).stream()
                    .filter(results -> own.isOurServer(results.server()))
                    .toList();
            boolean good = told.stream().anyMatch(results -> results.passes("dkim"));
            if (told.isEmpty()) {
                untold++;
            } else if (!good) {
                unsigned++;
            } else if (Signatures.forbid(message, ADDED)) {
                breaking++;
            } else {
                signed++;
            }
        }
        return new Arrival(signed, breaking, unsigned, untold);
    }

    /** What to do about it. */
    public Statement advice() {
        int atRisk = breaking + unsigned;
        if (atRisk > 0) {
            return ArrivalAdvice.SOME_AT_RISK.with(atRisk, all());
        }
        return (untold == all() ? ArrivalAdvice.NOBODY_CAN_TELL : ArrivalAdvice.NO_OBJECTION).with();
    }

    private int all() {
        return signed + breaking + unsigned + untold;
    }
}
