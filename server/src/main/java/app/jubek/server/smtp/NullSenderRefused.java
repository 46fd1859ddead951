package app.jubek.server.smtp;

import app.jubek.core.plan.Failure;
import app.jubek.core.plan.Trouble;

/** The server takes no mail from the null path, though RFC 5321 §4.5.5 asks it to. */
public final class NullSenderRefused extends SmtpFault {
    private static final long serialVersionUID = 1L;

    NullSenderRefused(SmtpReply reply) {
        super(Kind.PERMANENT, Trouble.of(Failure.NULL_SENDER_REFUSED.with(reply.text())));
    }
}
